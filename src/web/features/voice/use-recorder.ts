import { useRafFn } from '@vueuse/core'
import { onScopeDispose, ref, shallowRef } from 'vue'
import { voiceLimits } from '#model/limits'
import { microphoneWords, notRecorded, nothingHeard } from '#words/own-voice'
import { ports } from '#web/shared/ports.ts'
import { beginTake } from '#web/shared/voice/take.ts'
import type { Take } from '#web/shared/voice/take.ts'
import type { Recording } from '#web/shared/voice/voices-store.ts'
import { useMicrophone } from './use-microphone.ts'

/** A sentence that is being recorded, and since when. */
interface Now {
  readonly take: Take
  readonly text: string
  readonly sinceMs: number
}

/** What was said, and for how long. */
type Said = Omit<Recording, 'sessionId'>

/** Ended a little before what the server takes of one. */
const mostMs = voiceLimits.ms - 500

/** What a take has come to, kept; or why nothing was. */
async function keptOf({ take, text }: Now, keep: (said: Said) => Promise<void>): Promise<string> {
  try {
    const ready = await take.stop()
    if (!ready) return nothingHeard
    await keep({ text, ...ready })
    return ''
  } catch {
    return notRecorded
  }
}

/** Recording sentences one after another. */
export function useRecorder(keep: (said: Said) => Promise<void>) {
  const state = ref<'idle' | 'asking' | 'recording' | 'keeping'>('idle')
  const mend = ref('')
  const [level, lengthMs] = [ref(0), ref(0)]
  const now = shallowRef<Now>()
  const microphone = useMicrophone()
  let isOver = false

  const meter = useRafFn(
    () => {
      if (!now.value) return
      level.value = now.value.take.level()
      lengthMs.value = ports().steadyMs() - now.value.sinceMs
      if (lengthMs.value >= mostMs) void stop()
    },
    { immediate: false },
  )

  /** Records words from now on; says why where there is no microphone. */
  async function record(text: string): Promise<void> {
    if (state.value !== 'idle') return
    state.value = 'asking'
    mend.value = ''
    try {
      const stream = await microphone.have()
      // The view was left while the browser asked.
      if (isOver) microphone.letGo()
      else now.value = { take: beginTake(stream), text, sinceMs: ports().steadyMs() }
    } catch (error) {
      microphone.letGo()
      mend.value = microphoneWords(error instanceof Error || error instanceof DOMException ? error.name : '')
    }
    state.value = now.value ? 'recording' : 'idle'
    if (now.value) meter.resume()
  }

  /** Ends it and keeps it; true where something was kept. */
  async function stop(): Promise<boolean> {
    const taken = now.value
    if (!taken) return false
    now.value = undefined
    meter.pause()
    state.value = 'keeping'
    mend.value = await keptOf(taken, keep)
    state.value = 'idle'
    if (isOver) microphone.letGo()
    return mend.value === ''
  }

  onScopeDispose(() => {
    isOver = true
    // What was said until now is kept, whatever is looked at next.
    if (now.value) void stop()
    else microphone.letGo()
  })
  return { state, mend, level, lengthMs, record, stop }
}
