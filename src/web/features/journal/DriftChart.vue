<script setup lang="ts">
import type { ChartData, ChartOptions } from 'chart.js'
import { computed } from 'vue'
import { Bar, Line } from 'vue-chartjs'
import '#web/shared/ui/chart-parts.ts'

/** Two figures beside each other for each name, or one along the minutes of the class; all of it also stands in a table. */
const props = defineProps<{
  label: string
  bars?: {
    readonly names: readonly string[]
    readonly of: readonly { readonly name: string; readonly tone: string; readonly minutes: readonly number[] }[]
  }
  line?: readonly { readonly x: number; readonly y: number }[]
}>()

const tones = getComputedStyle(document.documentElement)
const colour = (tone: string) => tones.getPropertyValue(`--${tone}`).trim()

const barData = computed<ChartData<'bar'>>(() => ({
  labels: [...(props.bars?.names ?? [])],
  datasets: (props.bars?.of ?? []).map(({ name, tone, minutes }) => ({
    ...{ label: name, data: [...minutes], backgroundColor: colour(tone), barThickness: 8 },
  })),
}))
const barOptions: ChartOptions<'bar'> = {
  indexAxis: 'y',
  maintainAspectRatio: false,
  events: [],
  scales: {
    x: {
      min: 0,
      title: { display: true, text: 'minutes' },
      ticks: { maxTicksLimit: 6 },
      grid: { color: '#dde4df' },
    },
    y: { grid: { display: false }, ticks: { color: '#1d2a2a', autoSkip: false } },
  },
}
const lineData = computed<ChartData<'line', { x: number; y: number }[]>>(() => ({
  datasets: [{ data: [...(props.line ?? [])], borderColor: colour('both'), borderWidth: 3, pointRadius: 0 }],
}))
const lineOptions: ChartOptions<'line'> = {
  maintainAspectRatio: false,
  events: [],
  scales: {
    x: {
      type: 'linear',
      min: 0,
      title: { display: true, text: 'minute of the plan' },
      ticks: { maxTicksLimit: 8 },
      grid: { color: '#dde4df' },
    },
    y: {
      title: { display: true, text: 'minutes late' },
      suggestedMin: 0,
      suggestedMax: 2,
      ticks: { maxTicksLimit: 6 },
      grid: { color: '#dde4df' },
    },
  },
}
const heightPx = computed(() => (props.bars ? props.bars.names.length * 26 + 52 : 200))
</script>

<template>
  <div>
    <p v-if="bars" class="key" aria-hidden="true">
      <span v-for="one in bars.of" :key="one.name"
        ><i :style="{ background: `var(--${one.tone})` }" />{{ one.name }}</span
      >
    </p>
    <div class="canvas" role="img" :aria-label="label" :style="{ height: `${heightPx}px` }">
      <Bar v-if="bars" :data="barData" :options="barOptions" aria-hidden="true" />
      <Line v-else :data="lineData" :options="lineOptions" aria-hidden="true" />
    </div>
  </div>
</template>

<style scoped>
.canvas {
  position: relative;
}
.key {
  display: flex;
  gap: 16px;
  font-size: 14px;
  color: var(--ink-soft);
}
i {
  display: inline-block;
  width: 12px;
  height: 8px;
  margin-right: 6px;
}
</style>
