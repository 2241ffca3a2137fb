<script setup lang="ts">
import { computed } from 'vue'
import { touchedIn } from '#core/series'
import { touchedWords } from '#words/series'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSeries } from './use-series.ts'

/** What a series is about: its theme, the regions its classes work, and those they leave alone. */
const { base, classes } = useSeries()
const own = useOwnStore()
const held = computed(() => classes.value.filter(({ leftOut }) => leftOut === undefined))
const regions = computed(() => {
  const touched = touchedIn(
    held.value.map(({ session }) => session),
    own.catalog,
  )
  return touchedWords(touched, held.value.length)
})
</script>

<template>
  <section v-if="base" aria-labelledby="series-about">
    <h2 id="series-about">What it is about</h2>
    <p v-if="base.purpose">{{ base.purpose }}</p>
    <template v-if="regions.touched">
      <p><span class="soft">Works</span> {{ regions.touched }}</p>
      <p><span class="soft">Not</span> {{ regions.not }}</p>
    </template>
    <p v-else class="soft">No pose works any region in it.</p>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 6px;
}
p {
  margin: 0 0 4px;
  overflow-wrap: anywhere;
}
.soft {
  color: var(--ink-soft);
}
</style>
