<script setup lang="ts">
import { computed } from 'vue'
import type { RoundsAmount, RoundsSection } from '#model/section'
import { blockLimits } from '#model/limits'
import { sectionFacts } from '#core/breath'
import type { ResolvedRounds } from '#core/breath'
import { formatMs } from '#core/units'
import { counted } from '#words/text'
import DurationField from '#web/shared/ui/DurationField.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'

/** How many rounds: in sets, in all, as many as fill a time; or how many uncounted breaths. */
const props = defineProps<{ section: RoundsSection; resolved: ResolvedRounds | undefined }>()
const emit = defineEmits<{ change: [amount: RoundsAmount] }>()

type Way = 'sets' | 'rounds' | 'fill'
const ways: readonly { readonly value: Way; readonly words: string }[] = [
  { value: 'sets', words: 'sets of rounds' },
  { value: 'rounds', words: 'rounds in all' },
  { value: 'fill', words: 'as many as fit a time' },
]
const amount = computed((): RoundsAmount => {
  const { sets = [] } = props.resolved ?? {}
  return props.section.amount ?? { sets: Math.max(1, sets.length), roundsPerSet: sets[0]?.rounds ?? 9 }
})
const way = computed((): Way => {
  if ('sets' in amount.value) return 'sets'
  if ('rounds' in amount.value) return 'rounds'
  return 'fill'
})
/** Another way to say how much, with what comes nearest to it. */
function setWay(other: Way): void {
  const roundsPerSet = 'roundsPerSet' in amount.value ? amount.value.roundsPerSet : 9
  const facts = props.resolved && sectionFacts(props.resolved)
  const rounds = facts?.rounds ?? ('breaths' in amount.value ? amount.value.breaths : roundsPerSet)
  if (other === 'sets') emit('change', { sets: Math.max(1, props.resolved?.sets.length ?? 1), roundsPerSet })
  if (other === 'rounds') emit('change', { rounds: Math.max(1, rounds), roundsPerSet })
  if (other === 'fill')
    emit('change', { fillS: Math.max(60, Math.ceil((facts?.totalMs ?? 60_000) / 1000)), roundsPerSet })
}
const filled = computed(() => {
  if (!props.resolved || way.value !== 'fill') return ''
  const { rounds } = sectionFacts(props.resolved)
  return `${counted(rounds, 'round')} in ${counted(props.resolved.sets.length, 'set')}, then natural breath ${formatMs(props.resolved.leftMs)}`
})
</script>

<template>
  <div v-if="!section.stations" class="amount">
    <SelectField
      v-if="!('breaths' in amount)"
      hide-label
      label="How much"
      :value="way"
      :options="ways"
      @change="setWay"
    />
    <NumberField
      v-if="'sets' in amount"
      label="Sets"
      :value="amount.sets"
      :least="1"
      :most="20"
      @change="emit('change', { ...amount, sets: $event })"
    />
    <NumberField
      v-if="'rounds' in amount"
      label="Rounds in all"
      :value="amount.rounds"
      :least="1"
      :most="500"
      @change="emit('change', { ...amount, rounds: $event })"
    />
    <DurationField
      v-if="'fillS' in amount"
      label="Time to fill"
      :seconds="amount.fillS"
      :limits="blockLimits"
      @change="emit('change', { ...amount, fillS: $event })"
    />
    <NumberField
      v-if="'roundsPerSet' in amount"
      label="Rounds a set"
      :value="amount.roundsPerSet"
      :least="1"
      :most="500"
      @change="emit('change', { ...amount, roundsPerSet: $event })"
    />
    <template v-if="'breaths' in amount">
      <NumberField
        label="Breaths"
        :value="amount.breaths"
        :least="1"
        :most="500"
        @change="emit('change', { ...amount, breaths: $event })"
      />
      <NumberField
        label="About so many seconds each"
        :value="amount.aboutS"
        :least="2"
        :most="60"
        @change="emit('change', { ...amount, aboutS: $event })"
      />
    </template>
    <p v-if="filled" class="filled">{{ filled }}</p>
  </div>
</template>

<style scoped>
.amount {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
  align-items: end;
}
.filled {
  grid-column: 1 / -1;
  color: #4b5854;
}
</style>
