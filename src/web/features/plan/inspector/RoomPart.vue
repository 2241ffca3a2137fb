<script setup lang="ts">
import { computed } from 'vue'
import type { Room } from '#model/place'
import { floorWanted, roomPlan, teacherCm } from '#core/class'
import type { Timeline } from '#core/timeline'
import { roomWords } from '#words/room'

/** The room from above, to scale: the mats of those who come, as far apart as the widest shape wants. */
const props = defineProps<{ room: Room; people: number; timeline: Timeline }>()
const wanted = computed(() => floorWanted(props.timeline))
const plan = computed(() => roomPlan(props.room, props.people, wanted.value))
const size = computed(() => ({ width: props.room.widthMm / 10, length: props.room.lengthMm / 10 }))
const words = computed(() => roomWords(props.room, props.people, plan.value, wanted.value))
const air = 12
</script>

<template>
  <figure class="room">
    <svg
      role="img"
      :aria-label="`${room.name} from above: ${words.join('; ')}`"
      :viewBox="`${-air} ${-air} ${size.width + 2 * air} ${size.length + 2 * air}`"
    >
      <rect class="floor" x="0" y="0" :width="size.width" :height="size.length" />
      <line class="front" x1="0" :x2="size.width" :y1="teacherCm" :y2="teacherCm" />
      <text :x="size.width / 2" :y="teacherCm / 2 + 14" text-anchor="middle">you</text>
      <rect
        v-for="(mat, at) in plan.mats"
        :key="at"
        class="mat"
        :x="mat.x"
        :y="mat.y"
        :width="mat.width"
        :height="mat.length"
        rx="6"
      />
    </svg>
    <figcaption>
      <p v-for="line in words" :key="line">{{ line }}</p>
    </figcaption>
  </figure>
</template>

<style scoped>
.room {
  display: grid;
  grid-template-columns: 132px minmax(0, 1fr);
  gap: 12px;
  margin: 10px 0 0;
}
svg {
  width: 100%;
  max-height: 240px;
}
.floor {
  fill: #fff;
  stroke: var(--ink);
  stroke-width: 8;
}
.front {
  stroke: var(--edge);
  stroke-width: 3;
  stroke-dasharray: 14 10;
}
.mat {
  fill: var(--prop, #9db0aa);
  stroke: var(--ink);
  stroke-width: 3;
}
text {
  font-size: 44px;
  fill: var(--ink-soft);
}
figcaption {
  font-size: 15px;
}
</style>
