<script setup lang="ts">
import type { LedStart } from '#model/led-class'
import type { Stage } from '#core/lead'
import { formatMs } from '#core/units'
import { blockTitle } from '#words/segments'
import WhereLine from './WhereLine.vue'

defineProps<{ led: LedStart; stage: Extract<Stage, { is: 'holding' }> }>()
</script>

<template>
  <WhereLine :led="led" :segment="stage.segment" />
  <p class="clock" data-testid="clock">{{ formatMs(stage.leftMs) }}</p>
  <p class="name">{{ blockTitle(led, stage.segment) }}</p>
  <p class="cue">{{ stage.nextCue ? `${stage.nextCue.text} in ${formatMs(stage.nextCue.inMs)}` : '' }}</p>
</template>
