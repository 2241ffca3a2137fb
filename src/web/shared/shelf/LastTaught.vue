<script setup lang="ts">
import { computed } from 'vue'
import { dayText } from '#words/dates'
import { useLastTaught } from './last-taught-store.ts'

/** When some things of the shelf were led last, and in which session; nothing where they never were. A view that shows it loads it. */
const { things } = defineProps<{ things: readonly string[] }>()
const store = useLastTaught()
const last = computed(() => store.of(things))
</script>

<template>
  <p v-if="last" class="last">Last taught {{ dayText(last.startedAt) }}, {{ last.name }}</p>
</template>

<style scoped>
.last {
  font-size: 15px;
  color: var(--ink-soft);
}
@media print {
  .last {
    display: none;
  }
}
</style>
