<script setup lang="ts">
import { computed } from 'vue'
import { countText } from '#words/steadiness'

/** Every count that was tapped, as long as it was, over the line of the count that was wanted. */
const props = defineProps<{ tapsMs: readonly number[]; wantMs: number }>()

const [width, height, inset, edge] = [310, 110, 8, 22] as const
const gaps = computed(() => props.tapsMs.slice(1).map((tap, at) => tap - (props.tapsMs[at] ?? tap)))
/** As far from the wanted count as the furthest tap, and a tenth of it at least. */
const reach = computed(() => Math.max(0.1 * props.wantMs, ...gaps.value.map((gap) => Math.abs(gap - props.wantMs))))
const x = (at: number): number => inset + (at / Math.max(1, gaps.value.length - 1)) * (width - 2 * inset)
const y = (gap: number): number => height / 2 - ((gap - props.wantMs) / reach.value) * (height / 2 - edge)
const line = computed(() => gaps.value.map((gap, at) => `${x(at).toFixed(1)},${y(gap).toFixed(1)}`).join(' '))
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="`${gaps.length} counts beside ${countText(wantMs)}`">
    <line class="want" :x1="inset" :x2="width - inset" :y1="height / 2" :y2="height / 2" />
    <polyline class="did" :points="line" />
    <text :x="inset" y="14">slower, to {{ countText(wantMs + reach) }}</text>
    <text :x="inset" :y="height - 5">faster, to {{ countText(wantMs - reach) }}</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  background: var(--breath-wash);
  border-radius: 6px;
}
.want {
  stroke: var(--ink);
  stroke-width: 1;
  stroke-dasharray: 2 4;
}
.did {
  fill: none;
  stroke: var(--breath);
  stroke-width: 2;
  stroke-linejoin: round;
}
text {
  font-size: 12px;
  fill: #4b5854;
}
</style>
