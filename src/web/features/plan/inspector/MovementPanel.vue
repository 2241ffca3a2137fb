<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
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

const props = defineProps<{ resolved: ResolvedMovement }>()
const { setFields } = usePlan()
const movement = computed(() => props.resolved.movement)
const rows = computed(() =>
  movement.value.parts.map((part) => ({
    name: mirrorText(part.does, props.resolved.sides[0] ?? 'both'),
    figure: `${part.part} ${String(part.halfCounts / 2)}`,
  })),
)
const paceS = computed(() => props.resolved.pace.num / props.resolved.pace.den / 1000)
const sideChoices = [
  { value: 'usual', words: 'as the school' },
  { value: 'left', words: 'left first' },
  { value: 'right', words: 'right first' },
]

const set = (fields: FieldsOf<MovementBlock>, what = 'change') => {
  setFields(props.resolved.block, fields, `${what} ${movement.value.names.english}`)
}
function setRounds(rounds: number | null): void {
  if (rounds !== null && rounds !== props.resolved.rounds) set({ rounds })
}
function setPace(seconds: number | null): void {
  if (seconds !== null && seconds !== paceS.value) set({ pace: { num: Math.round(seconds * 1000), den: 1 } })
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
      <div>
        <label for="movement-rounds">Rounds</label>
        <InputNumber
          input-id="movement-rounds"
          fluid
          :min="1"
          :max="500"
          :model-value="resolved.rounds"
          @update:model-value="setRounds"
        />
      </div>
      <div>
        <label for="movement-pace">One count, s</label>
        <InputNumber
          input-id="movement-pace"
          fluid
          :min="0.25"
          :max="10"
          :step="0.1"
          :max-fraction-digits="2"
          :model-value="paceS"
          @update:model-value="setPace"
        />
      </div>
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
