<script setup lang="ts">
import { formatDuration } from '#core/units'
import type { Pictured } from '#core/session'
import FigureThumb from '#web/shared/figures/thumbnails/FigureThumb.vue'
import { vDraggable } from '../dragging.ts'
import type { WingShape } from './layout.ts'

/** One wing, or the pair of a symmetric block, with its pose where there is room; a low one carries its name beside itself. */
defineProps<{
  wing: WingShape
  picture: Pictured | undefined
  label: string
  isChosen: boolean
  isActive: boolean
  isWith: boolean
}>()
// Declared, so that a new listener alone does not draw the wing anew.
const emit = defineEmits<{ click: [event: MouseEvent] }>()
</script>

<template>
  <div
    v-draggable="{ what: 'block', id: wing.blockId }"
    class="wing"
    :class="[wing.bank, wing.tone, { low: wing.low, chosen: isChosen, active: isActive }]"
    role="option"
    :aria-selected="isActive || isWith"
    :aria-label="label"
    :title="`${wing.name} ${formatDuration(wing.seconds)}`"
    :style="{ height: `${Math.max(2, wing.heightPx - 1.5)}px` }"
    @click="emit('click', $event)"
  >
    <template v-if="!wing.low">
      <div class="half first">
        <span v-if="wing.bank !== 'pair'" class="minutes">
          <FigureThumb v-if="picture" class="picture" :pictured="picture" />{{ formatDuration(wing.seconds) }}
        </span>
        <b :style="{ '--lines': wing.nameLines }">{{ wing.name }}</b>
        <small v-if="wing.detailLines > 0" :style="{ '--lines': wing.detailLines }">{{ wing.detail }}</small>
      </div>
      <div v-if="wing.bank === 'pair'" class="half second">
        <span class="minutes">{{ formatDuration(wing.seconds) }}</span>
        <FigureThumb v-if="picture" class="picture" :pictured="picture" />
      </div>
    </template>
    <template v-else>
      <div class="half first" />
      <div v-if="wing.bank === 'pair'" class="half second" />
      <span v-if="wing.nameBeside" class="beside" :style="{ marginTop: `${wing.nameShiftPx}px` }"
        ><b>{{ wing.name }}</b> {{ formatDuration(wing.seconds) }}</span
      >
    </template>
  </div>
</template>

<style scoped>
.wing {
  position: absolute;
  top: 0;
  display: flex;
  cursor: grab;
  --gap: var(--stem);
}
.wing.pair {
  left: calc(50% - var(--stem) / 2 - var(--wing));
  right: calc(50% - var(--stem) / 2 - var(--wing));
  gap: var(--gap);
}
.wing.left {
  right: var(--inner);
  width: var(--wing);
}
.wing.right {
  left: var(--inner);
  width: var(--wing);
}
.half {
  flex: 1 1 0;
  min-width: 0;
  padding: 3px 12px;
  overflow: hidden;
  line-height: 1.22;
  border: 1px solid var(--rim);
  background: var(--wash);
}
.half b,
.half small {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: var(--lines);
  line-clamp: var(--lines);
  overflow: hidden;
  overflow-wrap: anywhere;
  /* Room for descenders, which the clamp would cut. */
  padding-bottom: 2px;
  margin-bottom: -2px;
}
.wing.left .half,
.wing.pair .half.first {
  border-radius: 8px 0 0 8px;
  border-right: 6px solid var(--heavy);
}
.wing.right .half,
.wing.pair .half.second {
  border-radius: 0 8px 8px 0;
  border-left: 6px solid var(--heavy);
}
.minutes {
  float: right;
  font-weight: 650;
  margin-left: 10px;
}
.picture {
  --thumb: 64px;
}
.minutes .picture {
  vertical-align: top;
  margin-right: 8px;
}
.half.second .picture {
  --thumb: 68px;
}
small {
  font-size: 14px;
  color: #4b5854;
}
.rest {
  --wash: var(--rest-wash);
  --heavy: var(--rest);
  --rim: #d5d3b8;
}
.wing.left {
  --wash: var(--left-wash);
  --heavy: var(--left);
  --rim: #ddb39d;
}
.wing.right {
  --wash: var(--right-wash);
  --heavy: var(--right);
  --rim: #a2c6cf;
}
.both {
  --wash: var(--both-wash);
  --heavy: var(--both);
  --rim: #c3cc9f;
}
.breath {
  --wash: var(--breath-wash);
  --heavy: var(--breath);
  --rim: #cdb9da;
}
.wing.chosen {
  --wash: var(--chosen-wash);
}
.chosen .half {
  outline: 2px solid var(--ink);
  outline-offset: -1px;
}
/* A low block keeps a target of 24 px however low it is. */
.low::before {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  top: 50%;
  height: 24px;
  transform: translateY(-50%);
}
.low .half {
  padding: 0;
  border-top-width: 0;
  border-bottom-width: 0;
  border-radius: 3px;
}
.low.pair {
  justify-content: center;
}
.low.pair .half {
  flex: 0 0 calc((50% - var(--stem) / 2) * 0.38);
}
.low.left .half {
  margin-left: 62%;
}
.low.right .half {
  margin-right: 62%;
}
.beside {
  position: absolute;
  top: 50%;
  transform: translateY(-50%);
  font-size: 13.5px;
  line-height: 17px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  max-width: 60%;
}
.pair .beside {
  right: calc(50% + var(--stem) / 2 + (50% - var(--stem) / 2) * 0.38 + 8px);
  max-width: 28%;
}
.left .beside {
  right: calc(38% + 8px);
}
.right .beside {
  left: calc(38% + 8px);
}
.chosen .beside {
  background: var(--chosen-wash);
  outline: 2px solid var(--ink);
  border-radius: 3px;
  padding: 0 4px;
}
</style>
