<script setup lang="ts">
import type { LedPlan, LedStart } from '#model/led-class'
import type { BreathNow, LeadState } from '#core/lead'
import { breathCountWords, roundWords } from '#words/segments'
import BreathStrip from '#web/shared/lead/BreathStrip.vue'

/** A breath counted over a hold: its line along the bottom, with the count. */
defineProps<{
  led: LedStart
  state: LeadState
  over: LedPlan['over'][string]
  breath: BreathNow | undefined
  leadIn: 'in' | 'out' | undefined
}>()
</script>

<template>
  <div class="strip-line">
    <BreathStrip :plan="led.plan" :state="state" :height="90" />
    <p class="strip-count">{{ breathCountWords(breath, leadIn) }}</p>
    <p class="strip-round">{{ over.name.toLowerCase() }} over it{{ breath ? ` · ${roundWords(breath)}` : '' }}</p>
  </div>
</template>
