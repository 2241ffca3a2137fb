<script setup lang="ts">
import { computed } from 'vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { ports } from '#web/shared/ports.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { isLongSentence, sentencesOf } from '#web/shared/voice/sentences.ts'
import { useOwnVoice } from '#web/shared/voice/use-own-voice.ts'
import { useVoicesStore } from '#web/shared/voice/voices-store.ts'
import SoundRow from './SoundRow.vue'

/** Whether the class is led with the sentences that are recorded for it; not shown where none is. */
const voices = useVoicesStore()
const { isOn, loudness } = useOwnVoice()
const choices = [
  { kind: 'off', words: 'off' },
  { kind: 'on', words: 'on' },
]
const first = computed(() => voices.voices[0])
const store = useSessionStore()
const own = useOwnStore()
/** How much is recorded, and what of it runs into what comes after it. */
const about = computed(() => {
  const sentences = store.timeline ? sentencesOf(store.timeline, voices.voices, own.catalog.wordsAMinute) : []
  const tooLong = sentences.filter(isLongSentence).length
  return `${String(sentences.filter(({ voice }) => voice).length)} of ${String(sentences.length)} recorded${tooLong > 0 ? `, ${String(tooLong)} too long` : ''}`
})
async function tried(): Promise<void> {
  const voice = first.value
  if (!voice) return
  const audio = ports().audio()
  await Promise.all([audio.resume(), voices.have([voice])])
  const { id: voiceId, lengthMs } = voice
  audio.schedule({ kind: 'voice', voiceId, lengthMs, gain: loudness.value / 50 }, audio.now() + 0.05)
}
</script>

<template>
  <SoundRow
    v-if="first"
    name="Own voice"
    :why="about"
    :choice="isOn ? 'on' : 'off'"
    :choices="choices"
    :loudness="loudness"
    :is-silent="!isOn"
    @choose="isOn = $event === 'on'"
    @louder="loudness = $event"
    @tried="tried"
  />
</template>
