<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { roundLine } from '#core/breath'
import type { LinePart, ResolvedSection } from '#core/breath'

/** The round as a measured line: how full the lungs are over its counts, with one tick a count. */
const props = defineProps<{ section: ResolvedSection }>()

const frame = useTemplateRef('frame')
const { width } = useElementSize(frame)
const [topPx, bottomPx, sidePx, heightPx] = [22, 132, 26, 178] as const

const parts = computed(() => roundLine(props.section))
const counts = computed(() => parts.value.at(-1)?.to ?? 0)
const x = (count: number): number =>
  sidePx + (counts.value === 0 ? 0 : count / counts.value) * (width.value - 2 * sidePx)
const y = (fill: number): number => bottomPx - fill * (bottomPx - topPx)
const line = computed(() =>
  parts.value.map(({ from, to, fill }) => `${x(from)},${y(fill[0])} ${x(to)},${y(fill[1])}`).join(' '),
)
const area = computed(() => `${x(0)},${y(0)} ${line.value} ${x(counts.value)},${y(0)}`)
/** A tick a count; where more would run together, every second, fifth or tenth. */
const ticks = computed(() => {
  const every = [1, 2, 5, 10].find((step) => (width.value - 2 * sidePx) / (counts.value / step) >= 9) ?? 20
  return Array.from({ length: Math.floor(counts.value / every) + 1 }, (_, at) => at * every)
})
const names = { in: 'in', full: 'held full', out: 'out', empty: 'held empty', pause: 'pause' } as const
/** Parts as they are told: locks divide a held breath, and are not told apart here. */
const told = computed(() => {
  const groups: LinePart[] = []
  for (const part of parts.value) {
    const last = groups.at(-1)
    if (last && last.part === part.part && part.step === undefined) groups[groups.length - 1] = { ...last, to: part.to }
    else groups.push(part)
  }
  return groups.filter(({ part }) => part !== 'pause' || groups.length < 8)
})
const wordsOf = ({ part, from, to, through }: LinePart): string => {
  const count = String(Math.round((to - from) * 100) / 100)
  return `${names[part]} ${count}${through === undefined || through === 'both' ? '' : ` ${through}`}`
}
const spoken = computed(() => told.value.map(wordsOf).join(', '))
</script>

<template>
  <div ref="frame" class="frame">
    <svg v-if="parts.length > 0" :width="width" :height="heightPx" role="img" :aria-label="`One round: ${spoken}`">
      <line class="grid" :x1="sidePx - 8" :x2="width - sidePx + 8" :y1="y(1)" :y2="y(1)" />
      <line class="grid" :x1="sidePx - 8" :x2="width - sidePx + 8" :y1="y(0)" :y2="y(0)" />
      <polygon class="area" :points="area" />
      <polyline class="line" :points="line" />
      <line v-for="tick in ticks" :key="tick" class="tick" :x1="x(tick)" :x2="x(tick)" :y1="y(0)" :y2="y(0) + 8" />
      <text class="end" :x="sidePx - 8" :y="y(1) - 6">full</text>
      <text v-for="part in told" :key="part.from" class="part" :x="x((part.from + part.to) / 2)" :y="y(0) + 30">
        {{ wordsOf(part) }}
      </text>
    </svg>
    <p v-else class="uncounted">Nobody counts here: the breath goes its own way.</p>
  </div>
</template>

<style scoped>
.frame {
  flex: none;
  min-width: 0;
}
svg {
  display: block;
}
.grid {
  stroke: var(--line);
}
.area {
  fill: var(--breath-wash);
}
.line {
  fill: none;
  stroke: var(--breath);
  stroke-width: 4;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.tick {
  stroke: var(--breath);
  stroke-width: 2;
}
text {
  font-size: 14px;
  fill: var(--ink);
}
.part {
  font-weight: 650;
  text-anchor: middle;
}
.end {
  fill: #4b5854;
}
.uncounted {
  padding: 40px 0;
  color: #4b5854;
}
</style>
