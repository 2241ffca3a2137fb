<script setup lang="ts">
import type { LedStart } from '#model/led-class'
import type { Stage } from '#core/lead'
import { formatMs } from '#core/units'
import { roundWords, segmentTitle } from '#words/segments'
import WhereLine from './WhereLine.vue'

defineProps<{ led: LedStart; stage: Extract<Stage, { is: 'moving' }> }>()
</script>

<template>
  <WhereLine :led="led" :segment="stage.segment" :words="roundWords(stage.movement)" />
  <p class="clock" data-testid="clock">{{ formatMs(stage.leftMs) }}</p>
  <p class="name">{{ segmentTitle(led, stage.segment) }}</p>
  <p class="cue">
    {{ stage.movement ? `${stage.movement.does} · ${stage.movement.count}` : 'natural breath' }}
  </p>
</template>
