import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { itsOwn } from '#web/shared/teachers/teacher-here.ts'

/** As loud as it was recorded. */
const usualLoudness = 50
/** How loud the teacher's voice is in Lead on this device, by session; where none stands it is off. */
const chosen = useLocalStorage(itsOwn('zovrin.own-voice'), new Map<string, number>())

/** Whether the open session is led with the teacher's recorded voice here, and how loud: off until it is chosen. */
export function useOwnVoice() {
  const store = useSessionStore()
  const sessionId = computed(() => store.document?.id ?? '')
  const loudness = computed({
    get: () => chosen.value.get(sessionId.value) ?? usualLoudness,
    set: (to) => chosen.value.set(sessionId.value, to),
  })
  const isOn = computed({
    get: () => chosen.value.has(sessionId.value),
    set: (on) => {
      if (on) chosen.value.set(sessionId.value, usualLoudness)
      else chosen.value.delete(sessionId.value)
    },
  })
  return { isOn, loudness }
}
