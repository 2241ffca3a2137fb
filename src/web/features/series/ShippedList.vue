<script setup lang="ts">
import Button from 'primevue/button'
import { shippedSeries } from '#library/series'
import type { ShippedSeries } from '#library/series'
import { counted } from '#words/text'
import { formatDuration } from '#core/units'
import { useSeries } from './use-series.ts'

/** The series that come with Zovrin, to begin from. */
const emit = defineEmits<{ begun: [id: string] }>()
const { addShipped, told } = useSeries()
async function begin(shipped: ShippedSeries): Promise<void> {
  const id = await addShipped(shipped)
  if (id !== undefined) emit('begun', id)
}
</script>

<template>
  <p v-if="told" role="alert">{{ told }}</p>
  <ul aria-label="Series to begin from">
    <li v-for="shipped in shippedSeries" :key="shipped.id">
      <h2>{{ shipped.name }}</h2>
      <p>{{ shipped.about }}</p>
      <p class="weeks figure">{{ counted(shipped.weeks, 'week') }} of {{ formatDuration(shipped.base.lengthS) }}</p>
      <Button
        size="small"
        severity="secondary"
        outlined
        label="Begin with it"
        :aria-label="`Begin with ${shipped.name}`"
        @click="begin(shipped)"
      />
    </li>
  </ul>
</template>

<style scoped>
ul {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 18px;
  max-width: 1000px;
  margin: 20px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-rows: auto 1fr auto auto;
  justify-items: start;
  gap: 8px;
  padding: 14px 16px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
}
h2,
p {
  margin: 0;
}
h2 {
  font-size: 17px;
}
.weeks {
  font-size: 14px;
  color: var(--ink-soft);
}
</style>
