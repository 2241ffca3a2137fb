<script setup lang="ts">
import { computed, ref } from 'vue'
import type { RoundsSection } from '#model/section'
import { countFor, fillChoices, patternText, roundFacts, sectionMs } from '#core/breath'
import type { ResolvedRounds } from '#core/breath'
import { formatMs } from '#core/units'
import { fillWords } from '#words/sections'
import DurationField from '#web/shared/ui/DurationField.vue'
import { useBreath } from './use-breath.ts'

/** A time that is there, and what fills it: sets of so many rounds, or the same rounds at another count. */
const props = defineProps<{ section: RoundsSection; resolved: ResolvedRounds }>()
const { document, set } = useBreath()

const limits = { leastS: 30, mostS: 14_400 } as const
const typedS = ref<number>()
/** The time the section has now, until another is typed. */
const timeS = computed(() => {
  const { amount } = props.section
  const now = amount && 'fillS' in amount ? amount.fillS : Math.round(sectionMs(props.resolved) / 1000)
  return typedS.value ?? Math.min(limits.mostS, Math.max(limits.leastS, now))
})
const choices = computed(() => fillChoices(props.resolved, timeS.value))
const isNow = (roundsPerSet: number): boolean => {
  const { amount } = props.section
  return (
    amount !== undefined && 'fillS' in amount && amount.fillS === timeS.value && amount.roundsPerSet === roundsPerSet
  )
}

/** The same rounds and sets at the whole count that comes nearest to the time. */
const otherCount = computed(() => {
  const { pattern, pace, sets, restMs, leadInMs, wayOutMs, list, steps } = props.resolved
  const facts = roundFacts({ pattern, pace })
  const [rounds] = sets.map((one) => one.rounds)
  if (!facts.ok || rounds === undefined || sets.some((one) => one.rounds !== rounds)) return undefined
  if (list.length !== 2 || steps || props.section.slope) return undefined
  const around = leadInMs + (rounds > props.resolved.countedRounds ? wayOutMs : 0)
  const [inhale, full, out, empty] = facts.value.ratio
  const made = countFor({
    timeMs: Math.max(0, timeS.value * 1000 - around),
    ratio: [inhale, full, out, empty],
    rounds,
    sets: sets.length,
    restMs: restMs + around,
    level: document.value?.level ?? 'regular',
    pace,
  })
  if (!made.ok || patternText(made.value.pattern) === patternText(pattern)) return undefined
  return { pattern: made.value.pattern, totalMs: made.value.totalMs + around }
})
</script>

<template>
  <div class="fill">
    <h3>Fill a time</h3>
    <DurationField label="I have" :seconds="timeS" :limits="limits" @change="typedS = $event" />
    <ul v-if="choices.length > 0 || otherCount">
      <li v-for="choice in choices" :key="choice.roundsPerSet">
        <button
          type="button"
          :aria-pressed="isNow(choice.roundsPerSet)"
          @click="set(section, { amount: { fillS: timeS, roundsPerSet: choice.roundsPerSet } })"
        >
          {{ fillWords(choice) }}
        </button>
      </li>
      <li v-if="otherCount">
        <button type="button" @click="set(section, { pattern: otherCount.pattern })">
          as many rounds as now at {{ patternText(otherCount.pattern) }}, {{ formatMs(otherCount.totalMs) }} in all
        </button>
      </li>
    </ul>
    <p v-else>Not three rounds fit into that.</p>
    <p v-if="choices.length > 0" class="note">What is left over is natural breath.</p>
  </div>
</template>

<style scoped>
.fill {
  display: grid;
  gap: 6px;
  margin-bottom: 14px;
}
h3 {
  font-size: 16px;
}
p {
  color: var(--ink-soft);
}
.note {
  font-size: 14px;
}
ul {
  display: grid;
  gap: 4px;
}
button {
  width: 100%;
  min-height: 32px;
  padding: 4px 10px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 15px;
  text-align: left;
  cursor: pointer;
}
button[aria-pressed='true'] {
  background: var(--chosen-wash);
  outline: 2px solid var(--ink);
}
</style>
