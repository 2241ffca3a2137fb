<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onMounted, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import MovementPage from './MovementPage.vue'
import PiecePage from './PiecePage.vue'
import PosePage from './PosePage.vue'
import ShelfList from './ShelfList.vue'
import TechniquePage from './TechniquePage.vue'
import { poseIn } from '#core/session'
import { useLastTaught } from '#web/shared/shelf/last-taught-store.ts'
import RemovedNote from '#web/shared/own/RemovedNote.vue'
import { useShelf } from './use-shelf.ts'

/** A hundred ticks come after what they narrow: the pictures are what one came for. */
const FilterPane = defineAsyncComponent(() => import('./FilterPane.vue'))

const route = useRoute()
const { own, told } = useShelf()
const lastTaught = useLastTaught()
onMounted(() => {
  void own.load()
  lastTaught.expect()
  void lastTaught.load()
})

const id = computed(() => (typeof route.params['id'] === 'string' ? route.params['id'] : undefined))
const pose = computed(() => (id.value === undefined ? undefined : poseIn(own.shelf, id.value)))
const movement = computed(() => own.catalog.movements.get(id.value ?? ''))
const piece = computed(() => own.pieces.find((one) => one.id === id.value))
const technique = computed(() => own.catalog.techniques.get(id.value ?? ''))

/** What scrolls: the whole view where it is narrow, else the list or page alone. */
const view = useTemplateRef('view')
const shown = useTemplateRef('shown')
const listTops = new Map<HTMLElement, number>()
/** A page begins at its head, and the list is found where one left it. */
watch(id, async (now, before) => {
  const scrollers = [view.value, shown.value].filter((one) => one !== null)
  if (before === undefined) for (const one of scrollers) listTops.set(one, one.scrollTop)
  await nextTick()
  for (const one of scrollers) one.scrollTo({ top: now === undefined ? (listTops.get(one) ?? 0) : 0 })
  if (now !== undefined) shown.value?.scrollIntoView({ block: 'start' })
})
</script>

<template>
  <div ref="view" class="shelf-view">
    <FilterPane />
    <div ref="shown" class="shown">
      <RemovedNote />
      <ShelfList v-if="id === undefined" />
      <PosePage v-else-if="pose" :key="pose.id" :pose="pose" />
      <MovementPage v-else-if="movement" :movement="movement" />
      <TechniquePage v-else-if="technique" :technique="technique" />
      <PiecePage v-else-if="piece" :key="piece.id" :piece="piece" />
      <div v-else class="missing">
        <h1>This is not on the shelf</h1>
        <p>It may have been removed. <RouterLink :to="{ name: 'shelf' }">See all of the shelf</RouterLink>.</p>
      </div>
    </div>
    <p class="visually-hidden" role="status" aria-live="polite">{{ told }}</p>
  </div>
</template>

<style scoped>
.shelf-view {
  display: grid;
  grid-template-columns: 252px minmax(0, 1fr);
  height: 100%;
}
.shown {
  grid-column: 2;
  position: relative;
  min-height: 0;
  overflow-y: auto;
  background: var(--ground);
}
.missing {
  display: grid;
  gap: 10px;
  justify-items: center;
  padding: 80px 24px;
}
/* Zoomed in, the list comes under what it is found by. */
@media (max-width: 800px) {
  .shelf-view {
    display: block;
    overflow-y: auto;
  }
  .shown {
    overflow: visible;
  }
}
@media print {
  .shelf-view {
    display: block;
  }
  .shown {
    overflow: visible;
    background: none;
  }
}
</style>
