<script setup lang="ts">
import type { ChartData as Data, ChartOptions } from 'chart.js'
import { computed } from 'vue'
import { Bar, Line } from 'vue-chartjs'
import type { ChartData, Tone } from './balance-charts.ts'
import '#web/shared/ui/chart-parts.ts'

/** One figure of the balance: as a chart, or the same numbers as a table. */
const props = defineProps<{ chart: ChartData; as: 'charts' | 'tables' }>()

const tones = getComputedStyle(document.documentElement)
const colour = (tone: Tone) => tones.getPropertyValue(`--${tone}`).trim()

const barHeightPx = 24
const heightPx = computed(() => (props.chart.kind === 'bars' ? props.chart.rows.length * barHeightPx + 30 : 176))
const inWords = computed(
  () => `${props.chart.title}: ${props.chart.rows.map(({ name, words }) => `${name} ${words}`).join(', ')}`,
)

const bars = computed<Data<'bar'>>(() => ({
  labels: props.chart.rows.map(({ name, words }) => `${name}  ${words}`),
  datasets: [
    {
      data: props.chart.rows.map(({ value }) => value),
      backgroundColor: props.chart.rows.map(({ tone }) => colour(tone)),
      barThickness: 13,
    },
  ],
}))
const barOptions = computed<ChartOptions<'bar'>>(() => ({
  indexAxis: 'y',
  maintainAspectRatio: false,
  events: [],
  scales: {
    x: {
      min: 0,
      ...(props.chart.most === undefined ? {} : { max: props.chart.most }),
      ticks: { maxTicksLimit: 5 },
      grid: { color: '#dde4df' },
    },
    y: { grid: { display: false }, ticks: { color: '#1d2a2a', autoSkip: false } },
  },
}))

/** Two points a span, so that the line stays level in it and breaks where there is nothing. */
const steps = computed<Data<'line', { x: number; y: number | null }[]>>(() => ({
  datasets: [
    {
      data: (props.chart.spans ?? []).flatMap(({ from, to, value }) => [
        { x: from, y: value },
        { x: to, y: value },
      ]),
      borderColor: colour('both'),
      borderWidth: 3,
      pointRadius: 0,
      spanGaps: false,
    },
  ],
}))
/** A tick for every name, wherever the axis begins. */
const namedTicks = (levels: readonly string[]) => (axis: { ticks: { value: number }[] }) => {
  axis.ticks = levels.map((_, value) => ({ value }))
}
const lastMinute = computed(() => Math.ceil(Math.max(1, ...(props.chart.spans ?? []).map(({ to }) => to))))
const stepOptions = computed<ChartOptions<'line'>>(() => ({
  maintainAspectRatio: false,
  events: [],
  scales: {
    x: {
      type: 'linear',
      min: 0,
      max: lastMinute.value,
      title: { display: true, text: 'minutes' },
      ticks: { maxTicksLimit: 8 },
      grid: { color: '#dde4df' },
    },
    y: {
      // Named levels have room above and below, so that no line lies on the frame.
      min: props.chart.levels ? -0.5 : 0,
      max: (props.chart.most ?? 10) + (props.chart.levels ? 0.5 : 0),
      grid: { color: '#dde4df' },
      ticks: {
        stepSize: 2,
        autoSkip: false,
        callback: (value) => props.chart.levels?.[Number(value)] ?? String(value),
      },
      ...(props.chart.levels ? { afterBuildTicks: namedTicks(props.chart.levels) } : {}),
    },
  },
}))
</script>

<template>
  <section>
    <h2>
      {{ chart.title }} <small v-if="chart.unit">{{ chart.unit }}</small>
    </h2>
    <p v-if="chart.note" class="note">{{ chart.note }}</p>
    <div v-if="as === 'charts'" class="canvas" role="img" :aria-label="inWords" :style="{ height: `${heightPx}px` }">
      <Bar v-if="chart.kind === 'bars'" :data="bars" :options="barOptions" aria-hidden="true" />
      <Line v-else :data="steps" :options="stepOptions" aria-hidden="true" />
    </div>
    <table v-else>
      <tbody>
        <tr v-for="(row, at) in chart.rows" :key="at">
          <th scope="row">{{ row.name }}</th>
          <td>{{ row.words }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
h2 small {
  font-weight: 500;
  color: var(--ink-soft);
}
.note {
  font-size: 14.5px;
  color: var(--ink-soft);
}
.canvas {
  position: relative;
  margin-top: 4px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-weight: 500;
  text-align: left;
}
td {
  text-align: right;
}
tr {
  border-top: 1px solid var(--line-soft);
}
</style>
