<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import { blockFacts, patternText, roundSecondsText } from '#core/breath'
import { shortBreath } from '#core/session'
import type { ResolvedBreath } from '#core/session'
import { formatMs } from '#core/units'
import { basePositionNames, basePositionsInOrder } from '#words/positions'
import { factRows, sectionLength, sectionLine } from '#words/sections'
import { usePlan } from '../use-plan.ts'
import BreathShort from './BreathShort.vue'
import Part from './Part.vue'
import Rows from './Rows.vue'

const props = defineProps<{ resolved: ResolvedBreath }>()
const { setFields, document } = usePlan()
const technique = computed(() => props.resolved.technique)
const short = computed(() => shortBreath(props.resolved.block))
const positions = basePositionsInOrder.map((value) => ({ value, words: basePositionNames[value] }))

const sections = computed(() =>
  props.resolved.sections.map((section) => ({ name: sectionLine(section), figure: sectionLength(section) })),
)
/** One round, and what the whole block comes to. */
const rows = computed(() => {
  const left = leftMs.value === undefined ? [] : [{ name: 'Then natural breath', figure: formatMs(leftMs.value) }]
  return [...oneRound.value, ...left, ...factRows(blockFacts(props.resolved.sections))]
})
/** What a time to fill leaves over. */
const leftMs = computed(() => {
  const filling = props.resolved.sections.find(
    ({ kind, section }) =>
      kind === 'rounds' && section.kind === 'rounds' && section.amount && 'fillS' in section.amount,
  )
  return filling?.kind === 'rounds' ? filling.leftMs : undefined
})
const oneRound = computed(() => {
  const counts = props.resolved.sections.flatMap((section) => (section.kind === 'rounds' ? [section] : []))
  const [only] = counts
  if (!only || counts.length > 1 || only.list.length > 2 || only.steps) return []
  return [
    { name: 'In, out', figure: patternText(only.pattern) },
    { name: 'One round', figure: `${roundSecondsText(only.pattern, only.pace)} s` },
  ]
})
</script>

<template>
  <h1>{{ technique.names.english }}</h1>
  <p class="sub">
    <i v-if="technique.names.sanskrit" lang="sa-Latn">{{ technique.names.sanskrit }} · </i>{{ technique.purpose }}
  </p>
  <slot name="cautions" />
  <BreathShort v-if="short" :resolved="resolved" :short="short">
    <Rows :rows="rows" />
  </BreathShort>
  <template v-else>
    <Part title="Sections">
      <Rows :rows="sections" />
    </Part>
    <Part title="In all">
      <Rows :rows="rows" />
    </Part>
  </template>
  <p v-if="document">
    <RouterLink :to="{ name: 'breath', params: { id: document.id } }">Open it in Breath</RouterLink>
  </p>
  <Part title="Position">
    <Select
      fluid
      aria-label="Position"
      :model-value="resolved.toPosition"
      :options="positions"
      option-label="words"
      option-value="value"
      @update:model-value="setFields(resolved.block, { basePosition: $event }, `change ${technique.names.english}`)"
    />
  </Part>
  <slot />
  <Part
    v-for="one in resolved.techniques"
    :key="one.id"
    :title="resolved.techniques.length > 1 ? `How: ${one.names.english}` : 'How'"
  >
    <ol>
      <li v-for="line in one.how" :key="line">{{ line }}</li>
    </ol>
  </Part>
  <Part title="Stop, and breathe as you like, at">
    <p class="sub">{{ technique.stopSigns.join('; ') }}.</p>
  </Part>
</template>

<style scoped>
.sub {
  color: var(--ink-soft);
}
ol li {
  margin-top: 3px;
}
</style>
