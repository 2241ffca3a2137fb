<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { formatMs } from '#core/units'
import { breathCountWords, breathWords, segmentTitle, whereInBreath } from '#words/segments'
import { joined } from '#words/text'
import BreathStrip from '#web/shared/lead/BreathStrip.vue'
import { useHeard } from './use-heard.ts'

/** The block as it sounds, from the section that is looked at; while it is heard its line takes the drawing's place. */
const { heard, stage, hear, stop } = useHeard()

const words = computed(() => {
  if (!heard.value || !stage.value || stage.value.is === 'ended') return ''
  const { led } = heard.value
  const { segment, leftMs } = stage.value
  const { breath, leadIn } = stage.value.is === 'breathing' ? stage.value : uncounted
  const now = breath
    ? `${breathWords(breath)} · ${String(breath.count)}`
    : leadIn
      ? breathCountWords(breath, leadIn)
      : formatMs(leftMs)
  return joined([segmentTitle(led, segment), now, whereInBreath(led, segment, breath)], ' · ')
})
const uncounted = { breath: undefined, leadIn: undefined }
</script>

<template>
  <div class="hear">
    <Button
      v-if="heard"
      size="small"
      severity="secondary"
      outlined
      icon="pi pi-stop"
      label="Stop"
      @click="stop"
      @keydown.esc="stop"
    />
    <Button
      v-else
      size="small"
      severity="secondary"
      outlined
      icon="pi pi-volume-up"
      label="Hear it from here"
      @click="hear"
    />
    <p v-if="heard" class="now">{{ words }}</p>
  </div>
  <div v-if="heard" class="line"><BreathStrip :plan="heard.plan" :state="heard.state" :height="178" /></div>
  <slot v-else />
</template>

<style scoped>
.hear {
  display: flex;
  align-items: center;
  gap: 14px;
}
.now {
  font-weight: 650;
}
.line {
  height: 178px;
}
</style>
