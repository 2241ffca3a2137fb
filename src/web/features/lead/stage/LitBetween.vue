<script setup lang="ts">
import { computed } from 'vue'
import type { LedStart } from '#model/led-class'
import type { Stage } from '#core/lead'
import { formatMs } from '#core/units'
import { blockTitle, segmentTitle, toSay } from '#words/segments'
import WhereLine from './WhereLine.vue'

/** What lies between holds is told with the block it belongs to; a talk or rest is that block itself. */
const props = defineProps<{ led: LedStart; stage: Extract<Stage, { is: 'between' }> }>()
const words = computed(() => {
  const { kind } = props.stage.segment.doing
  if (kind === 'closing') return 'Closing'
  return kind === 'talk' || kind === 'rest' ? '' : blockTitle(props.led, props.stage.segment)
})
/** Where a hold begins when all are settled, the time past what was planned for it counts up. */
const overMs = computed(() => {
  const { settling } = props.stage
  return settling ? settling.forMs - settling.plannedMs : 0
})
const isOver = computed(() => props.stage.leftMs === 0 && overMs.value > 0)
const isLong = computed(() => (props.stage.settling ? overMs.value > props.stage.settling.plannedMs : false))
/** At the very end, once all sit: what comes next time. */
const nextTime = computed(() => {
  const { doing, blockId } = props.stage.segment
  const isLast = props.led.document.blocks.at(-1)?.id === blockId
  return isLast && doing.kind === 'closing' && doing.step === 'sittingUp' ? props.led.next : undefined
})
</script>

<template>
  <WhereLine :led="led" :segment="stage.segment" :words="words" />
  <p class="clock" data-testid="clock">{{ formatMs(isOver ? overMs : stage.leftMs) }}</p>
  <p v-if="isOver" class="under">
    {{ isLong ? 'twice the planned set-up' : 'past the planned set-up' }}, until all are settled
  </p>
  <p class="name">{{ segmentTitle(led, stage.segment) }}</p>
  <p class="cue">{{ toSay(led, stage.segment) }}</p>
  <p v-if="stage.says" class="cue says">{{ stage.says }}</p>
  <p v-if="nextTime" class="cue">{{ nextTime }}</p>
</template>
