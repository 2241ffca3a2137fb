<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import type { NaturalSection, RoundsSection, Section } from '#model/section'
import { betweenLimits, blockLimits } from '#model/limits'
import { sectionFacts } from '#core/breath'
import type { ResolvedSection } from '#core/breath'
import { mainSection, withFields, withQuiet, withSection } from '#core/session'
import type { FieldsOf, ResolvedBreath, ShortBreath } from '#core/session'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import DurationField from '#web/shared/ui/DurationField.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import PatternField from '../PatternField.vue'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'

/** Breath work that is one thing with natural breath around it: how much of it, in which counts. */
const props = defineProps<{ resolved: ResolvedBreath; short: ShortBreath }>()
const { setFields } = usePlan()
const own = useOwnStore()

const at = computed(() => mainSection(props.resolved.block.sections))
const main = computed((): ResolvedSection | undefined => props.resolved.sections[at.value])
const rounds = computed(() => (main.value?.kind === 'rounds' ? main.value : undefined))
const naturalS = computed(() => (main.value?.kind === 'natural' ? Math.round(main.value.lengthMs / 1000) : undefined))
/** How much, as the section or else its technique says. */
const amount = computed(() => {
  if (!rounds.value) return undefined
  const { section, sets } = rounds.value
  return section.amount ?? { sets: sets.length, roundsPerSet: sets[0]?.rounds ?? 1 }
})

function put(section: Section, otherwise = ''): void {
  const { sections } = withSection(props.resolved.block, at.value, section)
  setFields(props.resolved.block, { sections }, `change ${props.resolved.technique.names.english}${otherwise}`)
}
function set(fields: FieldsOf<RoundsSection>): void {
  if (props.short.main.kind === 'rounds') put(withFields(props.short.main, fields))
}
function setNatural(s: number): void {
  const { id, techniqueId, seat, say } = props.short.main
  put(withFields<NaturalSection>({ kind: 'natural', id, s }, { techniqueId, seat, say }))
}
function setQuiet(where: 'before' | 'after', s: number): void {
  const { sections } = withQuiet(props.resolved.block, where, s)
  setFields(props.resolved.block, { sections }, `natural breath ${where} ${props.resolved.technique.names.english}`)
}

const techniques = computed(() =>
  [...own.catalog.techniques.values()]
    .filter(({ strokes }) => strokes === undefined)
    .map(({ id, names }) => ({ id, words: names.english })),
)
/** Another technique brings its own counts and amount; natural breath around it stays. */
function setTechnique(techniqueId: string): void {
  const { id, seat, say } = props.short.main
  put(withFields<RoundsSection>({ kind: 'rounds', id, techniqueId }, { seat, say }), ' for another technique')
}

const ways = [
  { value: 'sets', words: 'sets of rounds' },
  { value: 'fill', words: 'as many as fit a time' },
]
const way = computed(() => (amount.value && 'fillS' in amount.value ? 'fill' : 'sets'))
/** The other way to say how much, with what comes nearest to it. */
function setWay(other: string): void {
  if (!rounds.value || !amount.value || 'breaths' in amount.value || other === way.value) return
  const { roundsPerSet } = amount.value
  if (other === 'sets') set({ amount: { sets: Math.max(1, rounds.value.sets.length), roundsPerSet } })
  else set({ amount: { fillS: Math.max(5, Math.ceil(sectionFacts(rounds.value).totalMs / 1000)), roundsPerSet } })
}
</script>

<template>
  <Part title="How much">
    <template v-if="rounds && amount">
      <Select
        fluid
        aria-label="How much, as sets or as a time"
        :model-value="way"
        :options="ways"
        option-label="words"
        option-value="value"
        @update:model-value="setWay"
      />
      <div class="two">
        <NumberField
          v-if="'sets' in amount"
          label="Sets"
          :value="amount.sets"
          :least="1"
          :most="20"
          @change="set({ amount: { ...amount, sets: $event } })"
        />
        <NumberField
          v-if="'rounds' in amount"
          label="Rounds in all"
          :value="amount.rounds"
          :least="1"
          :most="500"
          @change="set({ amount: { ...amount, rounds: $event } })"
        />
        <DurationField
          v-if="'fillS' in amount"
          label="Time to fill"
          :seconds="amount.fillS"
          :limits="blockLimits"
          @change="set({ amount: { ...amount, fillS: $event } })"
        />
        <NumberField
          v-if="'roundsPerSet' in amount"
          label="Rounds in each"
          :value="amount.roundsPerSet"
          :least="1"
          :most="500"
          @change="set({ amount: { ...amount, roundsPerSet: $event } })"
        />
      </div>
      <PatternField
        :pattern="rounds.pattern"
        :pace="rounds.pace"
        @pattern="set({ pattern: $event })"
        @pace="set({ pace: $event })"
      />
    </template>
    <DurationField
      v-else-if="naturalS !== undefined"
      label="Time"
      large
      :seconds="naturalS"
      :limits="blockLimits"
      @change="setNatural"
    />
    <slot />
  </Part>
  <Part title="Natural breath">
    <div class="three">
      <DurationField
        label="Before"
        :seconds="short.beforeS"
        :limits="betweenLimits"
        @change="setQuiet('before', $event)"
      />
      <DurationField
        v-if="rounds"
        label="Between sets"
        :seconds="rounds.restMs / 1000"
        :limits="betweenLimits"
        @change="set({ restS: $event })"
      />
      <DurationField
        label="After"
        :seconds="short.afterS"
        :limits="betweenLimits"
        @change="setQuiet('after', $event)"
      />
    </div>
    <NumberField
      v-if="rounds"
      label="Rounds counted aloud, the rest silent"
      :value="rounds.countedRounds"
      :least="0"
      :most="500"
      @change="set({ countedRounds: $event })"
    />
  </Part>
  <Part title="Technique">
    <Select
      fluid
      aria-label="Technique"
      :model-value="resolved.technique.id"
      :options="techniques"
      option-label="words"
      option-value="id"
      @update:model-value="setTechnique"
    />
  </Part>
</template>

<style scoped>
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
</style>
