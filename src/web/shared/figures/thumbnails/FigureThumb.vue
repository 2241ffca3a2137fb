<script setup lang="ts">
import type { Pictured } from '#core/session'
import FigureDrawing from '../FigureDrawing.vue'
import { useThumbnail } from './use-thumbnail.ts'

/** A small picture beside a name: the name is what is read aloud. Where nothing is drawn, what is in the slot stands for it. */
const props = defineProps<{ pictured: Pictured | undefined }>()
const drawing = useThumbnail(() => props.pictured)
</script>

<template>
  <span class="thumb" aria-hidden="true">
    <FigureDrawing v-if="drawing" :drawing="drawing" words="" />
    <slot v-else-if="!pictured" />
  </span>
</template>

<style scoped>
.thumb {
  flex: none;
  display: inline-grid;
  place-items: center;
  width: var(--thumb, 64px);
  aspect-ratio: 4 / 3;
}
</style>
