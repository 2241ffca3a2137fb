import type { DueSound } from '#core/lead'
import type { AudioPort } from '#web/shared/audio/audio-port.ts'

/** Past this the audio clock and the class's clock are brought together again [decisions]. */
const driftS = 0.01

/** A sound later than this is missed: bells are never played late [decisions]. */
const lateS = 0.1

/**
 * Puts the class's sounds on the audio clock: when = anchor + (runMs − anchorMs) / 1000. The whole class is
 * scheduled at once, and anew after each event that changes what is to come.
 */
export function makeBellSchedule(audio: AudioPort) {
  let anchor: { audioS: number; runMs: number } | undefined
  let due: readonly DueSound[] = []
  const whenOf = (runMs: number) => (anchor ? anchor.audioS + (runMs - anchor.runMs) / 1000 : 0)

  function put(nowMs: number): void {
    audio.cancel()
    const earliestS = audio.now() - lateS
    for (const { atMs, sound } of due) {
      const when = whenOf(atMs)
      if (atMs >= nowMs && when >= earliestS) audio.schedule(sound, Math.max(0, when))
    }
  }

  return {
    /** `fromMs` is the class's own instant; `nowMs` the exact one, to which the audio clock is anchored. */
    replace(next: readonly DueSound[], fromMs: number, nowMs = fromMs): void {
      due = next
      if (!audio.isRunning()) return
      // Nothing has been handed over yet, or sound was held back: the two clocks are brought together anew.
      if (!anchor || Math.abs(audio.now() - whenOf(nowMs)) > driftS) anchor = { audioS: audio.now(), runMs: nowMs }
      put(fromMs)
    },
    /** Called every few seconds: past 10 ms apart, what lies ahead is anchored anew. */
    compare(nowMs: number): void {
      if (!audio.isRunning()) return
      if (anchor && Math.abs(audio.now() - whenOf(nowMs)) <= driftS) return
      anchor = { audioS: audio.now(), runMs: nowMs }
      put(nowMs)
    },
    silence(): void {
      due = []
      audio.cancel()
    },
  }
}
