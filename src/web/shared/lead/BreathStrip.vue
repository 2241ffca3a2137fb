<script setup lang="ts">
import { computed } from 'vue'
import { breathLine } from '#core/lead'
import type { LeadPlan, LeadState } from '#core/lead'

/** The breath as a measured line: inked up to now as by a pen recorder, dotted for what comes. */
const props = defineProps<{ plan: LeadPlan; state: LeadState; height: number }>()

const width = 1000
const behindMs = 22_000
const aheadMs = 22_000
const inset = 8

const stretches = computed(() =>
  breathLine(props.plan, props.state, props.state.nowMs - behindMs, props.state.nowMs + aheadMs),
)
const x = (ms: number) => ((ms - props.state.nowMs + behindMs) / (behindMs + aheadMs)) * width
const y = (fill: number) => props.height - inset - fill * (props.height - 2 * inset)

function path(from: number, to: number): string {
  return stretches.value
    .filter(({ startMs, endMs }) => endMs > from && startMs < to)
    .map(({ startMs, endMs, from: low, to: high }) => {
      const fillAt = (ms: number) => low + ((high - low) * (ms - startMs)) / (endMs - startMs)
      const a = Math.max(startMs, from)
      const b = Math.min(endMs, to)
      return `M${x(a).toFixed(1)} ${y(fillAt(a)).toFixed(1)}L${x(b).toFixed(1)} ${y(fillAt(b)).toFixed(1)}`
    })
    .join('')
}
const inked = computed(() => path(-Infinity, props.state.nowMs))
const coming = computed(() => path(props.state.nowMs, Infinity))
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" preserveAspectRatio="none" aria-hidden="true">
    <path class="coming" :d="coming" />
    <path class="inked" :d="inked" />
    <line class="now" :x1="x(state.nowMs)" :x2="x(state.nowMs)" y1="0" :y2="height" />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 100%;
  display: block;
}
path {
  fill: none;
  vector-effect: non-scaling-stroke;
  stroke-linecap: round;
}
.inked {
  stroke: var(--breath);
  stroke-width: 4px;
}
.coming {
  stroke: var(--edge);
  stroke-width: 3px;
  stroke-dasharray: 1 8;
}
.now {
  stroke: var(--ink);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
</style>
