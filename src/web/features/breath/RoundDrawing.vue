<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, shallowRef, useTemplateRef } from 'vue'
import { roundLine } from '#core/breath'
import type { LinePart, ResolvedSection } from '#core/breath'
import { drawnHalf, edgesOf, redrawn } from './round-edges.ts'
import type { Edge, EdgePart } from './round-edges.ts'

/**
 * The round as a measured line: how full the lungs are over its counts, with one tick a count. The end of each part can
 * be drawn to another count, by hand or with the arrow keys.
 */
const props = defineProps<{ section: ResolvedSection }>()
const emit = defineEmits<{ change: [part: EdgePart, half: number] }>()

const frame = useTemplateRef('frame')
const { width } = useElementSize(frame)
const [topPx, bottomPx, sidePx, heightPx] = [22, 132, 26, 178] as const

/** The edge that is drawn now, where the hand took it, and how long its part gets. */
const drawn = shallowRef<{
  readonly edge: Edge
  readonly fromPx: number
  readonly counts: number
  readonly half: number
}>()
const planned = computed(() => roundLine(props.section))
const parts = computed(() =>
  drawn.value ? redrawn(planned.value, drawn.value.edge.part, drawn.value.half / drawn.value.edge.half) : planned.value,
)
/** While an edge is drawn the scale stands still under the hand. */
const counts = computed(() => drawn.value?.counts ?? parts.value.at(-1)?.to ?? 0)
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
const edges = computed(() => edgesOf(props.section, told.value))
const edgeX = (edge: Edge): number => x(told.value.findLast(({ part }) => part === edge.part)?.to ?? edge.at)

function take(edge: Edge, event: PointerEvent): void {
  if (event.target instanceof Element) event.target.setPointerCapture(event.pointerId)
  drawn.value = { edge, fromPx: event.clientX, counts: counts.value, half: edge.half }
}
function draw(event: PointerEvent): void {
  if (!drawn.value) return
  const { edge, fromPx } = drawn.value
  const byCounts = ((event.clientX - fromPx) / (width.value - 2 * sidePx)) * counts.value
  drawn.value = { ...drawn.value, half: drawnHalf(edge, byCounts) }
}
/** One step to undo, however far it was drawn. */
function letGo(): void {
  const { edge, half } = drawn.value ?? {}
  drawn.value = undefined
  if (edge && half !== undefined && half !== edge.half) emit('change', edge.part, half)
}
function key(edge: Edge, event: KeyboardEvent): void {
  const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  const half = drawnHalf({ ...edge, times: 0.5 }, by)
  if (half !== edge.half) emit('change', edge.part, half)
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
    <!-- Beside the picture, since nothing in a picture can have the focus. -->
    <svg v-if="edges.length > 0" class="edges" :width="width" :height="bottomPx + 8">
      <g
        v-for="edge in edges"
        :key="edge.part"
        class="edge"
        role="slider"
        tabindex="0"
        :aria-label="`${names[edge.part]}, counts`"
        :aria-valuenow="edge.half / 2"
        aria-valuemin="0"
        aria-valuemax="64"
        @pointerdown.prevent="take(edge, $event)"
        @pointermove="draw"
        @pointerup="letGo"
        @pointercancel="drawn = undefined"
        @keydown="key(edge, $event)"
      >
        <rect :x="edgeX(edge) - 12" :y="topPx - 8" width="24" :height="bottomPx - topPx + 16" />
        <line :x1="edgeX(edge)" :x2="edgeX(edge)" :y1="y(1)" :y2="y(0)" />
      </g>
    </svg>
    <p v-if="parts.length === 0" class="uncounted">Nobody counts here: the breath goes its own way.</p>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
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
/* Beside the picture in the page, over it on the screen. */
.edges {
  position: absolute;
  inset: 0 auto auto 0;
  pointer-events: none;
}
/* The whole height takes the hand; the line shows where it can. */
.edge {
  pointer-events: all;
  cursor: ew-resize;
  touch-action: none;
  outline: none;
}
.edge rect {
  fill: transparent;
}
.edge line {
  stroke: var(--ink);
  stroke-width: 1;
  stroke-dasharray: 2 4;
  opacity: 0.35;
}
.edge:hover line,
.edge:focus-visible line {
  stroke-width: 3;
  stroke-dasharray: none;
  opacity: 1;
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
