<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import type { MovementBlock } from '#model/block'
import type { FieldsOf, ResolvedMovement } from '#core/session'
import { mirrorText } from '#core/session'
import { betweenLimits } from '#model/limits'
import { basePositionNames } from '#words/positions'
import DurationField from '#web/shared/ui/DurationField.vue'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'
import Rows from './Rows.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import PaceField from '#web/shared/ui/PaceField.vue'

const props = defineProps<{ resolved: ResolvedMovement }>()
const { setFields } = usePlan()
const movement = computed(() => props.resolved.movement)
const rows = computed(() =>
  movement.value.parts.map((part) => ({
    name: mirrorText(part.does, props.resolved.sides[0] ?? 'both'),
    figure: `${part.part} ${String(part.halfCounts / 2)}`,
  })),
)
const sideChoices = [
  { value: 'usual', words: 'as the school' },
  { value: 'left', words: 'left first' },
  { value: 'right', words: 'right first' },
]

const set = (fields: FieldsOf<MovementBlock>, what = 'change') => {
  setFields(props.resolved.block, fields, `${what} ${movement.value.names.english}`)
}
function setFirst(value: string): void {
  set({ firstSide: value === 'left' || value === 'right' ? value : undefined }, 'change the first side of')
}
</script>

<template>
  <h1>{{ movement.names.english }}</h1>
  <p class="sub">{{ basePositionNames[movement.base.enter] }} · with the breath</p>
  <slot name="cautions" />
  <Part title="Rounds" :note="movement.sides ? 'each side' : ''">
    <div class="three">
      <NumberField label="Rounds" :value="resolved.rounds" :least="1" :most="500" @change="set({ rounds: $event })" />
      <PaceField :pace="resolved.pace" @change="set({ pace: $event })" />
      <DurationField
        label="Rest after"
        :seconds="resolved.restS.value"
        :limits="betweenLimits"
        @change="set({ restS: $event })"
      />
    </div>
    <Rows :rows="rows" />
  </Part>
  <Part v-if="movement.sides" title="Order of sides">
    <Select
      aria-label="First side"
      fluid
      :model-value="resolved.block.firstSide ?? 'usual'"
      :options="sideChoices"
      option-label="words"
      option-value="value"
      @update:model-value="setFirst"
    />
    <p class="sub">Left: {{ movement.sides.left }}.</p>
  </Part>
  <slot />
</template>

<style scoped>
.sub,
label {
  color: var(--ink-soft);
}
label {
  display: block;
  font-size: 14px;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
  margin-bottom: 6px;
}
</style>
