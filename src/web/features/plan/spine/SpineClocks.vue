<script setup lang="ts">
import { clockAfter } from '#words/clock'
import type { SpineLayout } from './layout.ts'

/** When on the clock the numbered minutes of a class are, beside the spine. */
defineProps<{ minutes: SpineLayout['minutes']; startsAt: string }>()
</script>

<template>
  <div class="clocks" aria-hidden="true">
    <template v-for="{ minute, yPx, numbered } in minutes" :key="minute">
      <span v-if="numbered" :style="{ top: `${yPx}px` }">{{ clockAfter(startsAt, minute) }}</span>
    </template>
  </div>
</template>

<style scoped>
span {
  position: absolute;
  right: calc(50% + var(--stem) / 2 + var(--wing) + 5px);
  transform: translateY(-50%);
  font-size: 13px;
  line-height: 1;
  color: var(--ink-soft);
}
/* Where the sides take the whole width there is no room beside them. */
@media (max-width: 800px) {
  .clocks {
    display: none;
  }
}
</style>
