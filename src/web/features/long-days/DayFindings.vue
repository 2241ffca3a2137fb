<script setup lang="ts">
import { computed } from 'vue'
import { hourWords, longDayFindingWords } from '#words/long-days'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import FindingList from '#web/shared/findings/FindingList.vue'
import { useLongDays } from './use-long-days.ts'

/** What needs a look in the day; each leads to its part. */
const { findings, laid, chosenPart } = useLongDays()
const own = useOwnStore()
const technique = (id: string): string => own.catalog.techniques.get(id)?.names.english ?? 'A breath that is gone'
const lines = computed(() =>
  findings.value.map((finding, at) => {
    const where = laid.value.find(({ part }) => part.id === finding.partId)
    return {
      key: at,
      at: where?.part.id,
      place: where ? hourWords(where.startS) : '',
      words: longDayFindingWords(finding, technique),
    }
  }),
)
</script>

<template>
  <FindingList id="day-findings" :lines="lines" @look="chosenPart = $event" />
</template>
