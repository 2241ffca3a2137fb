<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import { computed } from 'vue'
import type { ResolvedMovement } from '#core/session'
import { mirrorText } from '#core/session'
import { basePositionNames } from '#library/base-positions'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'
import Rows from './Rows.vue'

const props = defineProps<{ resolved: ResolvedMovement }>()
const { replace } = usePlan()
const movement = computed(() => props.resolved.movement)
const rows = computed(() =>
  movement.value.parts.map((part) => ({
    name: mirrorText(part.does, props.resolved.sides[0] ?? 'both'),
    figure: `${part.part} ${String(part.halfCounts / 2)}`,
  })),
)
function setRounds(rounds: number | null): void {
  if (rounds === null || rounds === props.resolved.rounds) return
  replace({ ...props.resolved.block, rounds }, `change ${movement.value.names.english}`)
}
</script>

<template>
  <h1>{{ movement.names.english }}</h1>
  <p class="sub">{{ basePositionNames[movement.base.enter] }} · with the breath</p>
  <slot name="cautions" />
  <Part title="Rounds" :note="movement.sides ? 'each side' : ''">
    <label class="visually-hidden" for="movement-rounds">Rounds</label>
    <InputNumber input-id="movement-rounds" fluid :min="1" :max="500" :model-value="resolved.rounds" @update:model-value="setRounds" />
    <Rows :rows="rows" />
  </Part>
  <slot />
</template>

<style scoped>
.sub {
  color: var(--ink-soft);
}
</style>
