<script setup lang="ts">
import type { FootItem } from './foot-items.ts'

/** A place of the foot; with its key, where there are keys. */
defineProps<{ item: FootItem; hasKey?: boolean }>()
const emit = defineEmits<{ press: [] }>()
</script>

<template>
  <button
    type="button"
    class="foot-button"
    tabindex="-1"
    :class="{ free: item.isFree, large: item.isLarge }"
    @pointerdown.prevent
    @click="emit('press')"
  >
    {{ item.words }} <kbd v-if="hasKey">{{ item.key }}</kbd>
  </button>
</template>

<style scoped>
button {
  min-height: 44px;
  padding: 0 9px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: none;
  color: var(--ink);
  font-size: 17px;
  cursor: pointer;
}
kbd {
  font: inherit;
  font-size: 14px;
  color: var(--ink-soft);
}
.free {
  border-color: var(--breath);
}
.large {
  min-width: 190px;
  border: 2px solid var(--chosen);
  font-size: 22px;
  font-weight: 650;
}
</style>
