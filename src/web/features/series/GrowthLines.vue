<script setup lang="ts">
import { computed } from 'vue'
import type { Growth } from '#model/series'
import { holdSecondsOf } from '#core/session'
import { formatDuration } from '#core/units'
import { stepWords } from '#words/ladder'
import type { NamesOfSeries } from '#words/series'
import type { WeekOfSeries } from './use-series.ts'

/** What grows, as a line of steps through the weeks; each figure stands where it begins. */
const props = defineProps<{
  weeks: readonly WeekOfSeries[]
  growth: readonly Growth[]
  names: NamesOfSeries
  columnPx: number
}>()

interface Line {
  readonly key: string
  readonly name: string
  readonly tone: 'hold' | 'breath'
  /** For each week how high it is, 0 to 1, and what it is; nothing where the block is not there. */
  readonly points: readonly (Point | undefined)[]
}
interface Point {
  readonly share: number
  readonly words: string
  /** How it was, where it was really practised and answered. */
  readonly was?: 'easy' | 'strained' | 'notSure' | undefined
}
const lines = computed((): readonly Line[] =>
  props.growth.flatMap((rule): Line[] => {
    if (rule.kind === 'longer') return [holdLine(rule)]
    return rule.kind === 'ladder' ? [breathLine(rule)] : []
  }),
)
/** Where a figure lies between the least and the most of all. */
function shareOf(figure: number, all: readonly number[]): number {
  const [least, most] = [Math.min(...all), Math.max(...all)]
  return most === least ? 0.5 : (figure - least) / (most - least)
}
function holdLine(rule: Growth): Line {
  const held = props.weeks.map(({ session }) => {
    const block = session.blocks.find(({ id }) => id === rule.blockId)
    return block?.kind === 'hold' && block.hold ? holdSecondsOf(block.hold, 'both') : undefined
  })
  const known = held.filter((s) => s !== undefined)
  const points = held.map((s) => (s === undefined ? undefined : { share: shareOf(s, known), words: formatDuration(s) }))
  return { key: rule.id, name: props.names.block(rule.blockId), tone: 'hold', points }
}
function breathLine(rule: Growth): Line {
  let step = rule.kind === 'ladder' ? rule.startStep : 0
  const steps = props.weeks.map(({ news }) => {
    for (const one of news) if (one.is === 'step' && one.blockId === rule.blockId) step = one.to
    return step
  })
  const points = steps.map((step, at) => ({
    ...{ share: shareOf(step, steps), words: stepWords(step), was: props.weeks[at]?.led?.breath?.was },
  }))
  return { key: rule.id, name: props.names.block(rule.blockId), tone: 'breath', points }
}
const highPx = 54
const xOf = (at: number): number => at * props.columnPx
const yOf = (share: number): number => highPx - 20 - share * (highPx - 36)
const pathOf = ({ points }: Line): string =>
  points
    .map((point, at) => {
      if (!point) return ''
      const [x, y] = [xOf(at), yOf(point.share)]
      return `${points[at - 1] ? `L${String(x)} ${String(y)}` : `M${String(x)} ${String(y)}`}L${String(x + props.columnPx)} ${String(y)}`
    })
    .join('')
const isChange = ({ points }: Line, at: number): boolean => points[at]?.words !== points[at - 1]?.words
const wasWords = { easy: 'easy', strained: 'strained', notSure: 'not sure' } as const
const said = ({ name, points }: Line): string =>
  `${name}: ${points
    .map((point, at) =>
      point && (points[at - 1]?.words !== point.words || point.was)
        ? `week ${String(props.weeks[at]?.week ?? at + 1)} ${point.words}${point.was ? `, it was ${wasWords[point.was]}` : ''}`
        : '',
    )
    .filter((one) => one !== '')
    .join(', ')}`
</script>

<template>
  <div v-for="line in lines" :key="line.key" class="line">
    <span class="name">{{ line.name }}</span>
    <svg role="img" :aria-label="said(line)" :width="weeks.length * columnPx" :height="highPx">
      <path :class="line.tone" :d="pathOf(line)" />
      <template v-for="(point, at) in line.points" :key="at">
        <template v-if="point?.was">
          <circle :class="point.was" :cx="xOf(at) + columnPx - 8" :cy="yOf(point.share)" r="4" />
          <text :x="xOf(at) + columnPx - 4" :y="yOf(point.share) + 16" text-anchor="end">
            {{ wasWords[point.was] }}
          </text>
        </template>
        <text v-if="point && isChange(line, at)" :x="xOf(at) + 6" :y="yOf(point.share) - 5">{{ point.words }}</text>
      </template>
    </svg>
  </div>
</template>

<style scoped>
.line {
  border-top: 1px solid var(--line);
}
.name {
  position: sticky;
  left: 0;
  padding-left: 7px;
  font-size: 14px;
  color: #4b5854;
}
svg {
  display: block;
}
path {
  fill: none;
  stroke-width: 2.5;
}
.hold {
  stroke: var(--both);
}
.breath {
  stroke: var(--breath);
}
circle {
  fill: var(--ground);
  stroke: var(--breath);
  stroke-width: 2.5;
}
.easy {
  fill: var(--breath);
}
text {
  font-size: 14px;
  fill: var(--ink);
}
</style>
