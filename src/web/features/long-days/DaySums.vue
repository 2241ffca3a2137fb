<script setup lang="ts">
import { computed } from 'vue'
import { longWords, stretchedWords } from '#words/long-days'
import { useLongDays } from './use-long-days.ts'

/** The day added up. */
const { sums } = useLongDays()
const lines = computed(() => {
  const { value } = sums
  if (!value) return []
  const { fromS, toS, sessionsS, breaksS, freeS, breathMs, lyingMs } = value
  return [
    { name: 'From first to last', words: longWords(toS - fromS) },
    { name: 'Sessions', words: longWords(sessionsS) },
    { name: 'Breaks', words: longWords(breaksS) },
    ...(freeS > 0 ? [{ name: 'Nothing planned', words: longWords(freeS) }] : []),
    { name: 'Counted breath', words: longWords(breathMs / 1000) },
    { name: 'Lying', words: longWords(lyingMs / 1000) },
  ]
})
const again = computed(() => (sums.value ? stretchedWords(sums.value) : ''))
</script>

<template>
  <section v-if="lines.length > 0" aria-labelledby="day-sums">
    <h2 id="day-sums">The day added up</h2>
    <dl>
      <template v-for="{ name, words } in lines" :key="name">
        <dt>{{ name }}</dt>
        <dd class="figure">{{ words }}</dd>
      </template>
    </dl>
    <p v-if="again">Stretched more than once: {{ again }}.</p>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 6px;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 8px;
  margin: 0;
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0;
  font-weight: 650;
  text-align: right;
}
p {
  margin: 8px 0 0;
}
</style>
