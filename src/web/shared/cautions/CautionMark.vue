<script setup lang="ts">
import type { CautionGrade } from '#model/caution'

/** A grade has a shape of its own beside its word and colour. */
defineProps<{ grade: CautionGrade }>()
</script>

<template>
  <svg class="mark" :class="grade" viewBox="0 0 14 14" aria-hidden="true">
    <rect v-if="grade === 'avoid'" x="1.5" y="1.5" width="11" height="11" />
    <path v-else-if="grade === 'modify'" d="M7 1.5L13 12.5H1z" />
    <circle v-else cx="7" cy="7" r="4.6" />
  </svg>
</template>

<style scoped>
.mark {
  width: 12px;
  height: 12px;
  flex: none;
}
.avoid {
  fill: var(--avoid);
}
.modify {
  fill: var(--modify);
}
.care {
  fill: none;
  stroke: var(--care);
  stroke-width: 2.6;
}
</style>
