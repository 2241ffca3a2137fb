<script setup lang="ts">
import { computed } from 'vue'
import { finalRestPose, picturedPose } from '#core/session'
import FigureThumb from '#web/shared/figures/thumbnails/FigureThumb.vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import type { ShelfThing } from '#web/shared/session/new-block.ts'
import ShelfGlyph from './ShelfGlyph.vue'
import type { Glyph } from './glyphs.ts'

/** What stands on the shelf, small: a pose in its usual set-up; a mark for what is not drawn. */
const props = defineProps<{ thing: ShelfThing; glyph: Glyph }>()
const own = useOwnStore()
const pictured = computed(() => {
  const { kind, id } = props.thing
  if (kind === 'hold') return picturedPose(own.catalog, id)
  return kind === 'closing' ? picturedPose(own.catalog, finalRestPose) : undefined
})
</script>

<template>
  <FigureThumb :pictured="pictured" when="later"><ShelfGlyph :glyph="glyph" /></FigureThumb>
</template>
