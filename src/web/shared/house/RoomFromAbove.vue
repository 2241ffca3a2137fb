<script setup lang="ts">
import { computed } from 'vue'
import type { Room } from '#model/place'
import { floorWanted, roomPlan, teacherCm } from '#core/class'
import type { OnFloor, PointOnFloor } from '#core/class'
import type { Timeline } from '#core/timeline'
import { roomWords } from '#words/room'
import { besideRoom, roomAir, roomSpots, teacherAt } from '#formats/sheets/room-drawing'

/** The room from above, to scale: the mats of those who come, as far apart as the widest shape wants. */
const props = defineProps<{ room: Room; people: number; timeline: Timeline }>()
const wanted = computed(() => floorWanted(props.timeline))
const plan = computed(() => roomPlan(props.room, props.people, wanted.value))
const size = computed(() => ({ width: props.room.widthMm / 10, length: props.room.lengthMm / 10 }))
const words = computed(() => roomWords(props.room, props.people, plan.value, wanted.value))

const hasWall = computed(() => wanted.value.atWall.length > 0)
const box = ({ x, y, width, length }: OnFloor) => ({ x, y, width, height: length })
const line = (points: readonly PointOnFloor[]): string =>
  points.map(({ x, y }) => `${String(x)},${String(y)}`).join(' ')
/** A word beside something at a side of the room, along it. */
function label(at: PointOnFloor) {
  const { x, y, turn } = besideRoom(at, props.room)
  return { x, y, ...(turn === undefined ? {} : { transform: `rotate(${String(turn)} ${String(x)} ${String(y)})` }) }
}
const spots = computed(() => roomSpots(plan.value))
const you = computed(() => teacherAt(props.room))
</script>

<template>
  <figure class="room">
    <svg
      role="img"
      :aria-label="`${room.name} from above: ${words.join('; ')}`"
      :viewBox="`${-roomAir} ${-roomAir} ${size.width + 2 * roomAir} ${size.length + 2 * roomAir}`"
    >
      <rect class="floor" x="0" y="0" :width="size.width" :height="size.length" />
      <template v-if="hasWall">
        <rect v-for="(place, at) in plan.wallPlaces" :key="`wall-${at}`" class="wall-place" v-bind="box(place)" />
      </template>
      <line class="front" x1="0" :x2="size.width" :y1="teacherCm" :y2="teacherCm" />
      <polyline v-for="(way, at) in plan.ways" :key="`way-${at}`" class="way" :points="line(way)" />
      <text v-bind="you" text-anchor="middle">you</text>
      <rect v-for="(mat, at) in plan.mats" :key="at" class="mat" v-bind="box(mat)" rx="6" />
      <rect v-for="(chair, at) in plan.chairs" :key="`chair-${at}`" class="chair" v-bind="box(chair)" />
      <template v-for="spot in spots" :key="spot.words">
        <circle class="spot" :cx="spot.at.x" :cy="spot.at.y" r="14" />
        <text v-bind="label(spot.at)" text-anchor="middle">{{ spot.words }}</text>
      </template>
    </svg>
    <figcaption>
      <p v-for="each in words" :key="each">{{ each }}</p>
      <slot />
    </figcaption>
  </figure>
</template>

<style scoped>
.room {
  display: grid;
  grid-template-columns: minmax(132px, 1fr) minmax(0, 2fr);
  gap: 12px;
  margin: 10px 0 0;
}
svg {
  width: 100%;
  max-height: 420px;
}
.floor {
  fill: #fff;
  stroke: var(--ink);
  stroke-width: 8;
}
.front,
.way {
  fill: none;
  stroke: var(--edge);
  stroke-width: 3;
  stroke-dasharray: 14 10;
}
.way {
  stroke-dasharray: 3 9;
  stroke-width: 5;
}
.mat,
.chair {
  fill: var(--prop-bolster);
  stroke: var(--ink);
  stroke-width: 3;
}
.chair {
  fill: #fff;
}
.wall-place {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 3;
  stroke-dasharray: 8 7;
}
.spot {
  fill: var(--ink);
}
text {
  font-size: 38px;
  fill: var(--ink-soft);
}
figcaption {
  font-size: 15px;
}
figcaption > :deep(p + p) {
  margin-top: 3px;
}
</style>
