<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import type { BreathAmount, BreathBlock } from '#model/block'
import { fill, patternText, roundHalfCounts, roundSecondsText } from '#core/breath'
import { withFields } from '#core/session'
import type { FieldsOf, ResolvedBreath } from '#core/session'
import { betweenLimits, blockLimits } from '#model/limits'
import { formatMs } from '#core/units'
import { basePositionNames, basePositionsInOrder } from '#words/positions'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { counted } from '#words/text'
import DurationField from '#web/shared/ui/DurationField.vue'
import PatternField from '../PatternField.vue'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'
import Rows from './Rows.vue'
import NumberField from '#web/shared/ui/NumberField.vue'

const props = defineProps<{ resolved: ResolvedBreath }>()
const { setFields } = usePlan()
const own = useOwnStore()
const technique = computed(() => props.resolved.technique)
const sets = computed(() => ('sets' in props.resolved.amount ? props.resolved.amount : undefined))
const fills = computed(() => ('fillS' in props.resolved.amount ? props.resolved.amount : undefined))
const natural = computed(() => ('naturalS' in props.resolved.amount ? props.resolved.amount : undefined))

function set(fields: FieldsOf<BreathBlock>, otherwise = ''): void {
  setFields(props.resolved.block, fields, `change ${technique.value.names.english}${otherwise}`)
}
const techniques = computed(() =>
  [...own.catalog.techniques.values()]
    .filter(({ inPersonOnly }) => !inPersonOnly)
    .map(({ id, names }) => ({ id, words: names.english })),
)
/** Another technique brings its own counts, amount and position; times around it stay. */
function setTechnique(techniqueId: string): void {
  const its = { pattern: undefined, amount: undefined, countedRounds: undefined, basePosition: undefined }
  set({ techniqueId, ...its }, ' for another technique')
}
const positions = basePositionsInOrder.map((value) => ({ value, words: basePositionNames[value] }))

const amounts = [
  { value: 'sets', words: 'sets of rounds' },
  { value: 'fill', words: 'as many as fit a time' },
]
/** The rounds that fill the time there is. */
const filled = computed(() => {
  const { pattern, pace, restBetweenSetsS } = props.resolved
  if (!pattern || !fills.value) return undefined
  const { fillS, roundsPerSet } = fills.value
  return fill({
    timeMs: fillS * 1000,
    halfCounts: roundHalfCounts(pattern),
    pace,
    roundsPerSet,
    restMs: restBetweenSetsS * 1000,
  })
})
/** The other way to say how much, with what comes nearest to it. */
function setKind(kind: string): void {
  const { pattern, pace, restBetweenSetsS } = props.resolved
  if (!pattern) return
  const roundMs = (roundHalfCounts(pattern) * pace.num) / (2 * pace.den)
  if (kind === 'fill' && sets.value) {
    const totalMs =
      sets.value.sets * sets.value.roundsPerSet * roundMs + (sets.value.sets - 1) * restBetweenSetsS * 1000
    set({ amount: { fillS: Math.max(5, Math.ceil(totalMs / 1000)), roundsPerSet: sets.value.roundsPerSet } })
  }
  if (kind === 'sets' && fills.value) {
    set({ amount: { sets: Math.max(1, filled.value?.sets.length ?? 0), roundsPerSet: fills.value.roundsPerSet } })
  }
}
function setAmount(fields: FieldsOf<BreathAmount>): void {
  set({ amount: withFields(props.resolved.amount, fields) })
}
const rows = computed(() => {
  const { pattern, pace } = props.resolved
  if (!pattern) return []
  const round = { name: 'One round', figure: `${roundSecondsText(pattern, pace)} s` }
  if (!filled.value) return [{ name: 'In, out', figure: patternText(pattern) }, round]
  return [
    round,
    {
      name: 'Fits',
      figure: filled.value.rounds === 0 ? 'not one round' : counted(filled.value.rounds, 'round'),
    },
    { name: 'Then natural breath', figure: formatMs(filled.value.leftMs) },
  ]
})
</script>

<template>
  <h1>{{ technique.names.english }}</h1>
  <p class="sub">
    <i v-if="technique.names.sanskrit" lang="sa-Latn">{{ technique.names.sanskrit }} · </i>{{ technique.purpose }}
  </p>
  <slot name="cautions" />
  <Part title="How much">
    <template v-if="sets || fills">
      <Select
        fluid
        aria-label="How much, as sets or as a time"
        :model-value="fills ? 'fill' : 'sets'"
        :options="amounts"
        option-label="words"
        option-value="value"
        @update:model-value="setKind"
      />
      <div class="two">
        <NumberField
          v-if="sets"
          label="Sets"
          :value="sets.sets"
          :least="1"
          :most="20"
          @change="setAmount({ sets: $event })"
        />
        <DurationField
          v-if="fills"
          label="Time to fill"
          :seconds="fills.fillS"
          :limits="blockLimits"
          @change="setAmount({ fillS: $event })"
        />
        <NumberField
          label="Rounds in each"
          :value="(sets ?? fills)?.roundsPerSet ?? 1"
          :least="1"
          :most="500"
          @change="setAmount({ roundsPerSet: $event })"
        />
      </div>
    </template>
    <DurationField
      v-if="natural"
      label="Time"
      large
      :seconds="natural.naturalS"
      :limits="blockLimits"
      @change="set({ amount: { naturalS: $event } })"
    />
    <PatternField
      v-if="resolved.pattern"
      :pattern="resolved.pattern"
      :pace="resolved.pace"
      @pattern="set({ pattern: $event })"
      @pace="set({ pace: $event })"
    />
    <Rows :rows="rows" />
  </Part>
  <Part title="Natural breath">
    <div class="three">
      <DurationField
        label="Before"
        :seconds="resolved.naturalBeforeS"
        :limits="betweenLimits"
        @change="set({ naturalBeforeS: $event })"
      />
      <DurationField
        v-if="resolved.pattern"
        label="Between sets"
        :seconds="resolved.restBetweenSetsS"
        :limits="betweenLimits"
        @change="set({ restBetweenSetsS: $event })"
      />
      <DurationField
        label="After"
        :seconds="resolved.naturalAfterS"
        :limits="betweenLimits"
        @change="set({ naturalAfterS: $event })"
      />
    </div>
    <NumberField
      v-if="resolved.pattern"
      label="Rounds counted aloud, the rest silent"
      :value="resolved.block.countedRounds ?? technique.countedRounds"
      :least="0"
      :most="500"
      @change="set({ countedRounds: $event })"
    />
  </Part>
  <Part title="Technique">
    <Select
      fluid
      aria-label="Technique"
      :model-value="technique.id"
      :options="techniques"
      option-label="words"
      option-value="id"
      @update:model-value="setTechnique"
    />
    <span id="breath-position" class="label">Position</span>
    <Select
      fluid
      aria-labelledby="breath-position"
      :model-value="resolved.toPosition"
      :options="positions"
      option-label="words"
      option-value="value"
      @update:model-value="set({ basePosition: $event })"
    />
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
.label,
label {
  color: var(--ink-soft);
}
.label,
label {
  display: block;
  margin-top: 6px;
  font-size: 14px;
}
.two,
.three {
  display: grid;
  gap: 8px;
  margin: 6px 0;
}
.two {
  grid-template-columns: 1fr 1fr;
}
.three {
  grid-template-columns: repeat(auto-fit, minmax(84px, 1fr));
}
ol li {
  margin-top: 3px;
}
</style>
