<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import { computed } from 'vue'
import type { BreathAmount, BreathBlock } from '#model/block'
import { patternText, roundSecondsText } from '#core/breath'
import type { ResolvedBreath } from '#core/session'
import { betweenLimits, blockLimits } from '#core/units'
import DurationField from '#web/shared/ui/DurationField.vue'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'
import Rows from './Rows.vue'

const props = defineProps<{ resolved: ResolvedBreath }>()
const { replace } = usePlan()
const technique = computed(() => props.resolved.technique)
const sets = computed(() => ('sets' in props.resolved.amount ? props.resolved.amount : undefined))

function set(change: Partial<BreathBlock>): void {
  replace({ ...props.resolved.block, ...change }, `change ${technique.value.names.english}`)
}
function setAmount(change: { sets?: number | null; roundsPerSet?: number | null }): void {
  if (!sets.value) return
  const next = { sets: change.sets ?? sets.value.sets, roundsPerSet: change.roundsPerSet ?? sets.value.roundsPerSet }
  if (next.sets !== sets.value.sets || next.roundsPerSet !== sets.value.roundsPerSet) set({ amount: next })
}
const timed = computed<{ seconds: number; make: (seconds: number) => BreathAmount } | undefined>(() => {
  const { amount } = props.resolved
  if ('naturalS' in amount) return { seconds: amount.naturalS, make: (naturalS) => ({ naturalS }) }
  if ('fillS' in amount) return { seconds: amount.fillS, make: (fillS) => ({ ...amount, fillS }) }
  return undefined
})
const rows = computed(() => {
  const { pattern, pace } = props.resolved
  if (!pattern) return []
  return [
    { name: 'In, out', figure: patternText(pattern) },
    { name: 'One round', figure: `${roundSecondsText(pattern, pace)} s` },
  ]
})
</script>

<template>
  <h1>{{ technique.names.english }}</h1>
  <p class="sub"><i v-if="technique.names.sanskrit" lang="sa-Latn">{{ technique.names.sanskrit }} · </i>{{ technique.purpose }}</p>
  <slot name="cautions" />
  <Part title="How much">
    <div v-if="sets" class="two">
      <div>
        <label for="breath-sets">Sets</label>
        <InputNumber input-id="breath-sets" fluid :min="1" :max="20" :model-value="sets.sets" @update:model-value="setAmount({ sets: $event })" />
      </div>
      <div>
        <label for="breath-rounds">Rounds in each</label>
        <InputNumber input-id="breath-rounds" fluid :min="1" :max="500" :model-value="sets.roundsPerSet" @update:model-value="setAmount({ roundsPerSet: $event })" />
      </div>
    </div>
    <DurationField v-if="timed" label="Time" large :seconds="timed.seconds" :limits="blockLimits" @change="set({ amount: timed.make($event) })" />
    <DurationField v-if="sets && sets.sets > 1" label="Rest between sets" :seconds="resolved.restBetweenSetsS" :limits="betweenLimits" @change="set({ restBetweenSetsS: $event })" />
    <Rows :rows="rows" />
  </Part>
  <slot />
  <Part title="How">
    <ol>
      <li v-for="line in technique.how" :key="line">{{ line }}</li>
    </ol>
  </Part>
  <Part title="Stop, and breathe as you like, at">
    <p class="sub">{{ technique.stopSigns.join('; ') }}.</p>
  </Part>
</template>

<style scoped>
.sub,
label {
  color: var(--ink-soft);
}
label {
  font-size: 14px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  margin-bottom: 6px;
}
ol li {
  margin-top: 3px;
}
</style>
