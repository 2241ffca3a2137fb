<script setup lang="ts">
import { computed } from 'vue'
import type { Side } from '#model/common'
import { elevation, turnedTo } from '#core/figure'
import { drawFitted } from '#web/shared/figures/draw-fitted.ts'
import FigureDrawing from '#web/shared/figures/FigureDrawing.vue'
import { useHouse } from '#web/shared/house/use-house.ts'
import { itemWords, partNames } from '#words/props'
import type { SetUpLed } from '../use-set-ups-led.ts'

/** What to lay while people arrange themselves, from the floor up, with the figure on it. */
const props = defineProps<{ setUp: SetUpLed; title: string; side: Side | undefined }>()
const { who, kinds } = useHouse()
const room = { width: 420, height: 165, air: 6, mostScale: 1.9 } as const
const drawing = computed(() => {
  const { figure, items } = props.setUp
  const laid = figure && elevation({ figure, items, kinds: kinds.value, who: who.value })
  if (!figure || !laid?.ok) return undefined
  return drawFitted({
    ...room,
    elevation: turnedTo(props.side, figure, laid.value),
    view: figure.view ?? 'side',
    order: items.map(({ id }) => id),
  })
})
const lines = computed(() =>
  props.setUp.items.map((item) => ({
    id: item.id,
    what: itemWords(item, kinds.value[item.kind]),
    where: item.under ? partNames[item.under].toLowerCase() : '',
  })),
)
</script>

<template>
  <div class="set-up-now">
    <p class="label">{{ title }}</p>
    <FigureDrawing v-if="drawing" :drawing="drawing" :words="`${setUp.name} on its set-up`" />
    <ol>
      <li v-for="({ id, what, where }, at) in lines" :key="id">
        <b>{{ at + 1 }}</b><span>{{ where ? `${what} · ${where}` : what }}</span>
      </li>
    </ol>
    <p v-if="lines.length === 0" class="line">no props</p>
  </div>
</template>

<style scoped>
.set-up-now {
  display: grid;
  gap: 6px;
  min-width: 0;
}
li,
.line {
  font-size: clamp(18px, 1.75vw, 24px);
  line-height: 1.25;
}
li {
  display: grid;
  grid-template-columns: 1.2em minmax(0, 1fr);
}
li b {
  color: var(--ink-soft);
  font-weight: 500;
}
/* On a tablet the figure stands beside the list, so that the lit half keeps its clock and words. */
@media (max-width: 800px) {
  .set-up-now {
    grid-template-columns: 250px minmax(0, 1fr);
    gap: 0 20px;
  }
  .set-up-now .label {
    grid-column: 1 / -1;
  }
  .set-up-now ol:last-child:nth-child(2) {
    grid-column: 1 / -1;
  }
}
/* On a phone what is laid is told in words. */
@media (max-width: 500px) {
  .set-up-now {
    grid-column: 1 / -1;
    grid-template-columns: minmax(0, 1fr);
  }
  .set-up-now :deep(svg) {
    display: none;
  }
}
</style>
