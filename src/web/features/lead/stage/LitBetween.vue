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
</script>

<template>
  <WhereLine :led="led" :segment="stage.segment" :words="words" />
  <p class="clock" data-testid="clock">{{ formatMs(stage.leftMs) }}</p>
  <p class="name">{{ segmentTitle(led, stage.segment) }}</p>
  <p class="cue">{{ toSay(led, stage.segment) }}</p>
  <p v-if="stage.says" class="cue says">{{ stage.says }}</p>
</template>
