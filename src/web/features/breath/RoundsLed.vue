<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import type { NostrilList, RoundsSection } from '#model/section'
import { betweenLimits } from '#model/limits'
import type { ResolvedRounds } from '#core/breath'
import DurationField from '#web/shared/ui/DurationField.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import PaceField from '#web/shared/ui/PaceField.vue'
import { roundsAs } from './rounds-as.ts'
import { useBreath } from './use-breath.ts'
import SelectField from '#web/shared/ui/SelectField.vue'
import CountsField from '#web/shared/ui/CountsField.vue'

/** How rounds are led: the count, what is aloud, rests, leading in and out, nostrils, steps, places for the hands. */
const props = defineProps<{ section: RoundsSection; resolved: ResolvedRounds }>()
const { store, document, set } = useBreath()

type Steps = NonNullable<RoundsSection['steps']>
type Way = 'plain' | NostrilList | 'steps' | 'stations' | 'own'
const ways: readonly { readonly value: Way; readonly words: string }[] = [
  { value: 'plain', words: 'through both, as it comes' },
  { value: 'alternate', words: 'nostrils in turn' },
  { value: 'inLeft', words: 'in left, out right' },
  { value: 'inRight', words: 'in right, out left' },
  { value: 'outInTurn', words: 'in both, out in turn' },
  { value: 'steps', words: 'in steps, with pauses' },
  { value: 'stations', words: 'hands from place to place' },
]
const own = { value: 'own', words: 'a list of its own' } as const
/** Where nothing is set: through both, or as the technique goes by itself. */
const usualWay = computed((): Way => {
  const { nostrils } = props.resolved.technique
  return typeof nostrils === 'string' ? nostrils : nostrils === undefined ? 'plain' : 'own'
})
const way = computed((): Way => {
  const { stations, steps, nostrils } = props.section
  if (stations) return 'stations'
  if (steps) return 'steps'
  if (nostrils === undefined) return usualWay.value
  return typeof nostrils === 'string' ? nostrils : 'own'
})
const offered = computed(() => [
  ...ways.filter(({ value }) => value !== 'plain' || usualWay.value === 'plain'),
  ...(way.value === 'own' ? [own] : []),
])
const places = ['Hands in front', 'Hands at the sides', 'Hands at the back']
function setWay(other: Way): void {
  const { section } = props
  const none = { nostrils: undefined, steps: undefined, stations: undefined, shown: undefined, first: undefined }
  if (other === 'own') return
  if (other === usualWay.value) set(section, none)
  else if (other === 'steps') set(section, { ...none, steps: { in: 3, pauseHalf: 2 } })
  else if (other === 'stations') {
    const stations = (props.resolved.technique.stations ?? places).map((place) => ({ place, rounds: 5 }))
    set(section, { ...none, ...roundsAs(section, { stations }), shown: 3 })
  } else if (other !== 'plain') set(section, { ...none, nostrils: other })
}
const hands = [
  { value: 'right', words: 'with the right hand, in this session' },
  { value: 'left', words: 'with the left hand, in this session' },
] as const
const sides = [
  { value: 'own', words: 'begins left, as is usual' },
  { value: 'left', words: 'begins left' },
  { value: 'right', words: 'begins right' },
] as const
const silents = [
  { value: 'turns', words: 'the turns' },
  { value: 'none', words: 'nothing' },
  { value: 'counts', words: 'every count' },
] as const
const partChoices = [
  { value: 1, words: 'whole' },
  ...[2, 3, 4].map((value) => ({ value, words: `in ${String(value)} steps` })),
]
const none: Steps = { pauseHalf: 2 }
function setSteps(part: 'in' | 'out', parts: number): void {
  const { [part]: _, ...kept } = props.section.steps ?? none
  const next: Steps = parts === 1 ? kept : { ...kept, [part]: parts }
  set(props.section, { steps: next.in === undefined && next.out === undefined ? undefined : next })
}
</script>

<template>
  <div class="led">
    <PaceField :pace="resolved.pace" @change="set(section, { pace: $event })" />
    <NumberField
      label="Rounds counted aloud"
      :value="resolved.countedRounds"
      :least="0"
      :most="500"
      @change="set(section, { countedRounds: $event })"
    />
    <SelectField
      label="In the others sounds"
      :value="section.silent ?? 'turns'"
      :options="silents"
      @change="set(section, { silent: $event === 'turns' ? undefined : $event })"
    />
    <DurationField
      v-if="!section.stations"
      label="Rest between sets"
      :seconds="resolved.restMs / 1000"
      :limits="betweenLimits"
      @change="set(section, { restS: $event })"
    />
    <DurationField
      label="“Breathe out” before"
      :seconds="Math.round(resolved.leadInMs / 1000)"
      :limits="{ leastS: 0, mostS: 60 }"
      @change="set(section, { leadInS: $event })"
    />
    <DurationField
      label="“Finish the breath” after"
      :seconds="Math.round(resolved.wayOutMs / 1000)"
      :limits="{ leastS: 0, mostS: 60 }"
      @change="set(section, { wayOutS: $event })"
    />
    <div class="wide">
      <SelectField label="The breath goes" :value="way" :options="offered" @change="setWay" />
    </div>
    <SelectField
      v-if="way === 'alternate' || way === 'outInTurn'"
      class="wide"
      hide-label
      label="The side it begins on"
      :value="section.first ?? 'own'"
      :options="sides"
      @change="set(section, { first: $event === 'own' ? undefined : $event })"
    />
    <SelectField
      v-if="resolved.list.some(({ through }) => through !== 'both')"
      class="wide"
      hide-label
      label="The hand at the nose, in this session"
      :value="document?.hand ?? 'right'"
      :options="hands"
      @change="store.edit({ type: 'details', details: { hand: $event } }, 'change the hand at the nose')"
    />
    <template v-if="section.steps">
      <Select
        fluid
        aria-label="Breathing in"
        :model-value="section.steps.in ?? 1"
        :options="partChoices"
        :option-label="({ words }) => `in: ${words}`"
        option-value="value"
        @update:model-value="setSteps('in', $event)"
      />
      <Select
        fluid
        aria-label="Breathing out"
        :model-value="section.steps.out ?? 1"
        :options="partChoices"
        :option-label="({ words }) => `out: ${words}`"
        option-value="value"
        @update:model-value="setSteps('out', $event)"
      />
      <CountsField
        label="Counts of a pause"
        :half="section.steps.pauseHalf"
        :least="0.5"
        :most="4"
        @change="set(section, { steps: { ...section.steps, pauseHalf: $event } })"
      />
    </template>
    <NumberField
      v-if="section.stations"
      label="Rounds a place, shown first"
      :value="section.shown ?? 0"
      :least="0"
      :most="20"
      @change="set(section, { shown: $event === 0 ? undefined : $event })"
    />
  </div>
</template>

<style scoped>
.led {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  align-items: end;
  margin-bottom: 14px;
}
.wide {
  grid-column: 1 / -1;
}
</style>
