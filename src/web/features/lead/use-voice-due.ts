import { computed, watch } from 'vue'
import { voiceDue } from '#core/lead'
import type { Conducted, DueSound, VoiceBook } from '#core/lead'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { useOwnVoice } from '#web/shared/voice/use-own-voice.ts'
import { bookOf, useVoicesStore } from '#web/shared/voice/voices-store.ts'

const none: VoiceBook = { byText: new Map(), talks: new Map() }

/** The recorded sentences of the session that is led, where their voice is on: at hand before one is due. */
export function useVoiceDue(schedule: () => void) {
  const store = useSessionStore()
  const voices = useVoicesStore()
  const { isOn, loudness } = useOwnVoice()
  const book = computed((): VoiceBook => {
    const { document } = store
    return document && isOn.value && voices.sessionId === document.id ? bookOf(document, voices.voices) : none
  })
  watch(
    () => [store.document?.id, isOn.value] as const,
    async ([id]) => {
      if (id === undefined) return
      await voices.open(id)
      if (isOn.value) await voices.have(voices.voices)
      schedule()
    },
    { immediate: true },
  )
  /** What is said in it from now on; a class that is sped up says nothing. */
  return ({ start, state }: Conducted, speed: number): readonly DueSound[] =>
    speed !== 1 || loudness.value === 0
      ? []
      : voiceDue(start.plan, state, book.value).map((one) => ({
          ...one,
          sound: { ...one.sound, gain: loudness.value / 50 },
        }))
}
