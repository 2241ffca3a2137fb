<script setup lang="ts">
import { create } from 'qrcode'
import { computed } from 'vue'

/** A text as a square that a camera reads. */
const props = defineProps<{ text: string; words: string }>()
/** So many cells of white around it, as readers want. */
const margin = 4
const drawn = computed(() => {
  const { size, data } = create(props.text, { errorCorrectionLevel: 'M' }).modules
  const cells = Array.from(data, (isDark, at) =>
    isDark ? `M${String((at % size) + margin)} ${String(Math.floor(at / size) + margin)}h1v1h-1z` : '',
  )
  return { path: cells.join(''), size: size + 2 * margin }
})
</script>

<template>
  <svg :viewBox="`0 0 ${drawn.size} ${drawn.size}`" role="img" :aria-label="words" shape-rendering="crispEdges">
    <rect :width="drawn.size" :height="drawn.size" fill="#fff" />
    <path :d="drawn.path" fill="#000" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  border-radius: 6px;
}
</style>
