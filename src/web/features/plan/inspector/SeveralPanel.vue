<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { formatMs } from '#core/units'
import { usePlan } from '../use-plan.ts'
import KeepPiece from '#web/shared/own/KeepPiece.vue'
import Part from './Part.vue'
import Rows from './Rows.vue'

/** Several blocks chosen at once: what they come to, and what can be done with all of them. */
const { timeline, chosenIds, nameOf, remove, duplicate, moveBy, tell } = usePlan()

const spans = computed(
  () => timeline.value?.blocks.filter(({ block }) => chosenIds.value.includes(block.block.id)) ?? [],
)
const total = computed(() => formatMs(spans.value.reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0)))
const rows = computed(() =>
  spans.value.map(({ block, startMs, endMs }) => ({ name: nameOf(block.block.id), figure: formatMs(endMs - startMs) })),
)
</script>

<template>
  <h1>{{ chosenIds.length }} blocks chosen</h1>
  <p class="sub">{{ total }} in all, with what lies around them</p>
  <Part title="Which"><Rows :rows="rows" /></Part>
  <div class="acts">
    <Button
      size="small"
      severity="secondary"
      outlined
      icon="pi pi-arrow-up"
      aria-label="Move them up"
      title="Move up (Alt + ↑)"
      @click="moveBy(chosenIds, -1)"
    />
    <Button
      size="small"
      severity="secondary"
      outlined
      icon="pi pi-arrow-down"
      aria-label="Move them down"
      title="Move down (Alt + ↓)"
      @click="moveBy(chosenIds, 1)"
    />
    <Button size="small" severity="secondary" outlined label="Duplicate" @click="duplicate(...chosenIds)" />
    <Button size="small" severity="secondary" outlined label="Remove" @click="remove(...chosenIds)" />
    <KeepPiece :blocks="spans.map(({ block }) => block.block)" @kept="tell" />
  </div>
  <p class="sub">Ctrl + C copies them, Ctrl + X cuts them; Ctrl + V puts them after the chosen block of any session.</p>
</template>

<style scoped>
.sub {
  margin-top: 6px;
  color: var(--ink-soft);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 14px;
}
</style>
