<script setup lang="ts">
import type { LedStart } from '#model/led-class'
import type { Stage } from '#core/lead'
import { formatMs } from '#core/units'
import { segmentTitle } from '#words/segments'
import WhereLine from './WhereLine.vue'

defineProps<{ led: LedStart; stage: Extract<Stage, { is: 'paused' }> }>()
</script>

<template>
  <WhereLine :led="led" :segment="stage.segment" />
  <template v-if="stage.kind === 'hold'">
    <div class="clocks">
      <div>
        <p class="clock small">{{ formatMs(stage.pausedForMs) }}</p>
        <p class="under">paused, they stay</p>
      </div>
      <div>
        <p class="clock small">{{ formatMs(stage.heldMs) }}</p>
        <p class="under">in the shape</p>
      </div>
    </div>
    <p v-if="stage.pastCeilingMs > 0" class="line">
      {{ formatMs(stage.pastCeilingMs) }} past the first ceiling for this shape
    </p>
  </template>
  <template v-else>
    <p class="clock small">{{ formatMs(stage.pausedForMs) }}</p>
    <p class="under">{{ stage.kind === 'breath' ? 'paused: natural breath' : 'paused' }}</p>
  </template>
  <p class="name">{{ segmentTitle(led, stage.segment) }}</p>
</template>
