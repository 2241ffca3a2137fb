<script setup lang="ts">
import { computed } from 'vue'
import type { LedStart } from '#model/led-class'
import type { LeadState, Stage } from '#core/lead'
import { formatMs } from '#core/units'
import { breathingWords, sectionTitle, shownCount, stoppedWords, whereInBreath } from '#words/segments'
import BreathStrip from '#web/shared/lead/BreathStrip.vue'
import WhereLine from './WhereLine.vue'

/** From so many letters on what is said takes two lines. */
const longFrom = 60

const props = defineProps<{ led: LedStart; state: LeadState; stage: Extract<Stage, { is: 'breathing' }> }>()
const breathing = computed(() => breathingWords(props.stage.segment, props.stage.breath, props.stage.leadIn))
/** Not what stands above it already. */
const says = computed(() => {
  const said = props.stage.says ?? ''
  return said.toLowerCase() === breathing.value.toLowerCase() || said === '' ? stoppedWords(props.state) : said
})
</script>

<template>
  <WhereLine :led="led" :segment="stage.segment" :words="whereInBreath(led, stage.segment, stage.breath)" />
  <p class="clock count">{{ stage.breath ? shownCount(led, stage.segment, stage.breath) : formatMs(stage.leftMs) }}</p>
  <p class="name">{{ breathing }}</p>
  <p class="says" :class="{ long: says.length > longFrom }">{{ says }}</p>
  <div class="breath-line"><BreathStrip :plan="led.plan" :state="state" :height="180" /></div>
  <p v-if="stage.breath || sectionTitle(led, stage.segment) !== 'Natural breath'" class="name quiet">
    {{ sectionTitle(led, stage.segment)
    }}<template v-if="stage.breath">, {{ formatMs(stage.leftMs) }}&nbsp;to&nbsp;go</template>
  </p>
</template>
