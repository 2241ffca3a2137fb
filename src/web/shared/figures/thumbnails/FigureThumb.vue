<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import type { Pictured } from '#core/session'
import FigureDrawing from '../FigureDrawing.vue'
import { useThumbnail } from './use-thumbnail.ts'
import type { When } from './use-thumbnail.ts'

/** A small picture beside a name: the name is what is read aloud. Where nothing is drawn, what is in the slot stands for it. */
const { pictured, when = 'soon' } = defineProps<{ pictured: Pictured | undefined; when?: When }>()
const drawing = useThumbnail(() => pictured, when)
/** In a long list only those that came near are drawn: of the shelf, a tenth. A browser that does not tell draws them all. */
const isNear = ref(when === 'soon' || !('ContentVisibilityAutoStateChangeEvent' in window))
// On paper there is no near and far.
if (!isNear.value) useEventListener('beforeprint', () => (isNear.value = true))
</script>

<template>
  <span
    class="thumb"
    aria-hidden="true"
    :aria-busy="pictured !== undefined && !drawing"
    @contentvisibilityautostatechange="isNear ||= !$event.skipped"
  >
    <FigureDrawing v-if="drawing && isNear" :drawing="drawing" words="" />
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
  /* In a long list only those that are near are drawn, laid out and painted. */
  content-visibility: auto;
}
</style>
