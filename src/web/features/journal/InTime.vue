<script setup lang="ts">
import { computed } from 'vue'
import type { LedClass } from '#model/led-class'
import { leftOut, momentsOf } from '#core/journal'
import { formatMs } from '#core/units'
import { clockText } from '#words/dates'
import { momentWords } from '#words/in-time'
import { namesInWords } from '#words/text'

/** What was pressed in a class, at its time: marks, pauses, what was re-fitted and left out; and what those marked who looked on. */
const { led } = defineProps<{ led: LedClass }>()
const nameOf = (id: string): string => led.blocks[id]?.name ?? ''
const moments = computed(() => momentsOf(led))
const out = computed(() => leftOut(led).map(nameOf))
/** Who leads marks as well as who looks on: who it was is said where there is more than one. */
const isObserved = computed(() => led.marks.length > 0)
const clock = (atMs: number) => clockText(Date.parse(led.startedAt) + atMs)
</script>

<template>
  <section v-if="moments.length > 0 || out.length > 0" aria-labelledby="in-time">
    <h2 id="in-time">In time</h2>
    <p v-if="out.length > 0"><b>Not led:</b> {{ namesInWords(out) }}.</p>
    <table v-if="moments.length > 0" class="list">
      <thead>
        <tr>
          <th scope="col">Clock</th>
          <th scope="col" class="figure">Since Start</th>
          <th scope="col">What</th>
          <th scope="col">In</th>
          <th v-if="isObserved" scope="col">By</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(moment, at) in moments" :key="at">
          <td>{{ clock(moment.atMs) }}</td>
          <td class="figure">{{ formatMs(moment.atMs) }}</td>
          <th scope="row">{{ momentWords(moment, nameOf) }}</th>
          <td>{{ moment.blockId === undefined ? '' : nameOf(moment.blockId) }}</td>
          <td v-if="isObserved">{{ moment.what.type === 'observed' ? moment.what.by : 'who led' }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 22px;
}
.list {
  width: auto;
  min-width: 420px;
  margin-top: 6px;
}
.list :is(th, td) {
  padding: 4px 10px;
}
tbody th {
  font-weight: 500;
}
</style>
