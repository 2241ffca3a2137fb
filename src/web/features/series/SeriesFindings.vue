<script setup lang="ts">
import { computed } from 'vue'
import { dayOfMonth } from '#words/dates'
import { seriesFindingWords } from '#words/series'
import FindingList from '#web/shared/findings/FindingList.vue'
import { useSeries } from './use-series.ts'

/** What needs a look in the weeks to come; each leads to its class. */
const { findings, classes, names, chosenN } = useSeries()
const lines = computed(() =>
  findings.value.map((finding, at) => {
    const where = classes.value.find(({ n }) => n === finding.n)
    return {
      key: at,
      at: where?.n,
      place: where ? `Week ${String(where.week)}, ${dayOfMonth(where.day)}` : '',
      words: seriesFindingWords(finding, names),
    }
  }),
)
</script>

<template>
  <FindingList id="series-findings" :lines="lines" @look="chosenN = $event" />
</template>
