<script setup lang="ts">
import { computed } from 'vue'
import { dayOfMonth } from '#words/dates'
import { seriesFindingWords } from '#words/series'
import { useSeries } from './use-series.ts'

/** What needs a look in the weeks to come; each leads to its class. */
const { findings, classes, names, chosenN } = useSeries()
const lines = computed(() =>
  findings.value.map((finding, at) => {
    const where = classes.value.find(({ n }) => n === finding.n)
    return {
      key: at,
      n: where?.n,
      place: where ? `Week ${String(where.week)}, ${dayOfMonth(where.day)}` : '',
      words: seriesFindingWords(finding, names),
    }
  }),
)
</script>

<template>
  <section v-if="lines.length > 0" aria-labelledby="series-findings">
    <h2 id="series-findings">To look at</h2>
    <ul>
      <li v-for="line in lines" :key="line.key">
        <button v-if="line.n !== undefined" type="button" @click="chosenN = line.n">{{ line.place }}</button>
        {{ line.words }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 6px;
}
ul {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
button {
  padding: 0;
  border: none;
  background: none;
  color: var(--ink);
  font: inherit;
  font-weight: 650;
  text-decoration: underline;
  cursor: pointer;
}
</style>
