<script setup lang="ts">
import { computed } from 'vue'
import { positionsAlong } from '#core/session'
import type { Timeline } from '#core/timeline'
import { basePositionNames } from '#words/positions'
import FigureThumb from '#web/shared/figures/thumbnails/FigureThumb.vue'
import { positionFigures } from '#web/shared/figures/thumbnails/position-figures.ts'
import type { SpineLayout } from './layout.ts'

/** How the body is, at the edge of the wings, wherever that changes: each getting up and lying down is seen. */
const props = defineProps<{ layout: SpineLayout; timeline: Timeline }>()

const seats = computed(() => {
  const positions = positionsAlong(props.timeline.blocks.map(({ block }) => block))
  return positions.flatMap((position, at) => {
    const wing = props.layout.wings.find(({ blockIndex }) => blockIndex === at)
    if (!wing || position === undefined || position === positions[at - 1]) return []
    return [{ key: wing.key, topPx: wing.topPx, position, words: basePositionNames[position] }]
  })
})
</script>

<template>
  <span
    v-for="{ key, topPx, position, words } in seats"
    :key="key"
    class="seat"
    :style="{ top: `${topPx}px` }"
    :title="words"
    aria-hidden="true"
    ><FigureThumb :pictured="positionFigures[position]"
  /></span>
</template>

<style scoped>
.seat {
  position: absolute;
  --thumb: 38px;
  left: calc(50% + var(--stem) / 2 + var(--wing) + 2px);
  line-height: 0;
}
/* Where the sides take the whole width there is no room beside them. */
@media (max-width: 800px) {
  .seat {
    display: none;
  }
}
</style>
