<script setup lang="ts">
import { computed } from 'vue'
import type { HoldRange } from '#model/pose'
import { formatDuration } from '#core/units'

/** Where a hold stands in the usual range for practice and level; past an end it says so. */
const props = defineProps<{ range: HoldRange; seconds: readonly number[] }>()

const share = (seconds: number) => {
  const width = props.range.toS - props.range.fromS
  const part = width === 0 ? 0.5 : (seconds - props.range.fromS) / width
  return Math.min(1, Math.max(0, part)) * 100
}
const words = computed(() => {
  const { fromS, toS } = props.range
  const longest = Math.max(...props.seconds)
  const shortest = Math.min(...props.seconds)
  if (longest > toS) return `${formatDuration(longest - toS)} past the usual range`
  if (shortest < fromS) return `${formatDuration(fromS - shortest)} under the usual range`
  return 'within the usual range'
})
</script>

<template>
  <div class="range">
    <span>{{ formatDuration(range.fromS) }}</span>
    <div class="track" role="img" :aria-label="words">
      <i v-for="(value, index) in seconds" :key="index" :style="{ left: `calc(${share(value)}% - 1.5px)` }" />
    </div>
    <span>{{ formatDuration(range.toS) }}</span>
  </div>
  <p class="words">{{ words }}</p>
</template>

<style scoped>
.range {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 14px;
  color: var(--ink-soft);
  margin-top: 8px;
}
.track {
  flex: 1;
  height: 6px;
  background: #c3cc9f;
  position: relative;
  border-radius: 3px;
}
i {
  position: absolute;
  top: -4px;
  bottom: -4px;
  width: 3px;
  background: var(--ink);
}
.words {
  font-size: 14px;
  color: var(--ink-soft);
}
</style>
