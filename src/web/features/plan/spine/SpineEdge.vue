<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SecondsRange } from '#model/limits'
import { formatDuration, sayableSeconds } from '#core/units'
import type { WingShape } from './layout.ts'

/** The lower edge of a wing: drawn up or down it changes the time, both sides of a hold together. */
const props = defineProps<{ wing: WingShape; seconds: number; limits: SecondsRange; pxPerMinute: number }>()
const emit = defineEmits<{ draw: [seconds: number] }>()

const fromY = ref<number>()
const byPx = ref(0)
const drawn = computed(() => {
  const wanted = props.seconds + (byPx.value / props.pxPerMinute) * 60
  return sayableSeconds(wanted, props.limits)
})

function begin(event: PointerEvent): void {
  if (event.button !== 0) return
  if (event.currentTarget instanceof HTMLElement) event.currentTarget.setPointerCapture(event.pointerId)
  fromY.value = event.clientY
  byPx.value = 0
}
function move(event: PointerEvent): void {
  if (fromY.value !== undefined) byPx.value = event.clientY - fromY.value
}
function end(): void {
  if (fromY.value !== undefined && byPx.value !== 0 && drawn.value !== props.seconds) emit('draw', drawn.value)
  giveUp()
}
function giveUp(): void {
  fromY.value = undefined
  byPx.value = 0
}
/** It lies inside its wing, so that the next one never covers it. */
const edgePx = 8
const bottomPx = computed(
  () =>
    props.wing.heightPx + (fromY.value === undefined ? 0 : ((drawn.value - props.seconds) / 60) * props.pxPerMinute),
)
</script>

<template>
  <div
    class="edge"
    :class="[wing.bank, { drawing: fromY !== undefined }]"
    :style="{ top: `${bottomPx - edgePx}px` }"
    :data-testid="`edge-${wing.bank}`"
    aria-hidden="true"
    title="Draw to change the time; both sides change together"
    @pointerdown.prevent="begin"
    @pointermove="move"
    @pointerup="end"
    @pointercancel="giveUp"
  >
    <span v-if="fromY !== undefined" class="time">{{ formatDuration(drawn) }}</span>
  </div>
</template>

<style scoped>
.edge {
  position: absolute;
  z-index: 4;
  height: 8px;
  cursor: ns-resize;
  touch-action: none;
}
.edge.pair {
  left: calc(50% - var(--stem) / 2 - var(--wing));
  right: calc(50% - var(--stem) / 2 - var(--wing));
}
.edge.left {
  right: var(--inner);
  width: var(--wing);
}
.edge.right {
  left: var(--inner);
  width: var(--wing);
}
.edge:hover::after,
.drawing::after {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  bottom: 0;
  height: 3px;
  background: var(--ink);
  border-radius: 2px;
}
.time {
  position: absolute;
  z-index: 1;
  right: 10px;
  bottom: 10px;
  padding: 0 8px;
  border-radius: 4px;
  background: var(--ink);
  color: #fff;
  font-weight: 650;
}
</style>
