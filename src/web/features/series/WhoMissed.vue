<script setup lang="ts">
import { computed } from 'vue'
import { missedBy } from '#core/series'
import { catchUpWords } from '#words/series'
import { useNames } from '#web/shared/people/names.ts'
import { usePeopleStore } from '#web/shared/people/people-store.ts'
import { useSeries } from './use-series.ts'

/** Who missed a class of the series, each with three lines to catch up. */
const { chosen, attended, names } = useSeries()
const people = usePeopleStore()
const { called } = useNames()
const who = computed(() =>
  people.people.flatMap((person, at) => {
    if (!chosen.value?.people.includes(person.id)) return []
    const missed = missedBy(person.id, attended.value)
    if (missed.missed.length === 0) return []
    return [{ id: person.id, name: called(person, at), lines: catchUpWords(missed, names) }]
  }),
)
</script>

<template>
  <section v-if="who.length > 0" aria-labelledby="who-missed">
    <h2 id="who-missed">Who missed a class</h2>
    <details v-for="one in who" :key="one.id">
      <summary>{{ one.name }}</summary>
      <p v-for="line in one.lines" :key="line">{{ line }}</p>
    </details>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 6px;
}
summary {
  padding: 4px 0;
  cursor: pointer;
  overflow-wrap: anywhere;
}
p {
  margin: 0 0 4px 18px;
}
</style>
