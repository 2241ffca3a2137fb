<script setup lang="ts">
import type { Finding } from '#model/finding'

/** A finding's diamond: filled for must, half for look, open for a tip; never a caution's colour. */
defineProps<{ grade: Finding['grade'] }>()
</script>

<template>
  <svg class="mark" :class="grade" viewBox="0 0 14 14" width="14" height="14" aria-hidden="true">
    <path class="outline" d="M7 1 L13 7 L7 13 L1 7 Z" />
    <path v-if="grade !== 'tip'" class="fill" :d="grade === 'must' ? 'M7 1 L13 7 L7 13 L1 7 Z' : 'M7 1 L7 13 L1 7 Z'" />
  </svg>
</template>

<style scoped>
.mark {
  flex: none;
}
.outline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.fill {
  fill: var(--ink);
}
</style>
