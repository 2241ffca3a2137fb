<script setup lang="ts">
import type { LedStart } from '#model/led-class'
import type { LeadState, Stage } from '#core/lead'
import { formatMs } from '#core/units'
import { breathingWords, sectionTitle, shownCount, stoppedWords, whereInBreath } from '#words/segments'
import BreathStrip from '#web/shared/lead/BreathStrip.vue'
import WhereLine from './WhereLine.vue'

defineProps<{ led: LedStart; state: LeadState; stage: Extract<Stage, { is: 'breathing' }> }>()
</script>

<template>
  <WhereLine :led="led" :segment="stage.segment" :words="whereInBreath(led, stage.segment, stage.breath)" />
  <p class="clock count">{{ stage.breath ? shownCount(led, stage.segment, stage.breath) : formatMs(stage.leftMs) }}</p>
  <p class="name">{{ breathingWords(stage.segment, stage.breath, stage.leadIn) }}</p>
  <p class="says">{{ stage.says ?? stoppedWords(state) }}</p>
  <div class="breath-line"><BreathStrip :plan="led.plan" :state="state" :height="180" /></div>
  <p v-if="stage.breath || sectionTitle(led, stage.segment) !== 'Natural breath'" class="name quiet">
    {{ sectionTitle(led, stage.segment) }}<template v-if="stage.breath">, {{ formatMs(stage.leftMs) }} to go</template>
  </p>
</template>
