import type { DueSound } from '#core/lead'
import type { AudioPort } from '#web/shared/audio/audio-port.ts'
import { bothAtOnce } from './both-at-once.ts'

/** Past this the audio clock and the class's clock are brought together again [decisions]. */
const driftS = 0.01

/** A sound later than this is missed: bells are never played late [decisions]. */
const lateS = 0.1

/**
 * Puts the class's sounds on the audio clock: when = anchor + (runMs − anchorMs) / 1000. The whole class is
 * scheduled at once, and anew after each event that changes what is to come.
 */
export function makeBellSchedule(audio: Pick<AudioPort, 'now' | 'isRunning' | 'schedule' | 'cancel'>) {
  let anchor: { audioS: number; runMs: number } | undefined
  let due: readonly DueSound[] = []
  const whenOf = (runMs: number) => (anchor ? anchor.audioS + (runMs - anchor.runMs) / 1000 : 0)

  /** The class time at which the clocks had to be brought together: nothing was handed over yet, or they came apart. */
  function anchored(runMs: () => number): number | undefined {
    const { steadyMs: nowMs, other: audioS } = bothAtOnce(runMs, () => audio.now())
    if (anchor && Math.abs(audioS - whenOf(nowMs)) <= driftS) return undefined
    anchor = { audioS, runMs: nowMs }
    return nowMs
  }

  function put(nowMs: number): void {
    // What is being said goes on where it would still be said now.
    audio.cancel(
      new Set(due.flatMap(({ atMs, sound }) => (sound.kind === 'voice' && atMs < nowMs ? [sound.voiceId] : []))),
    )
    const earliestS = audio.now() - lateS
    for (const { atMs, sound } of due) {
      const when = whenOf(atMs)
      if (atMs >= nowMs && when >= earliestS) audio.schedule(sound, Math.max(0, when))
    }
  }

  return {
    /** `fromMs` is the class's own instant; `runMs` reads its exact one, to which the audio clock is anchored. */
    replace(next: readonly DueSound[], fromMs: number, runMs: () => number): void {
      due = next
      if (!audio.isRunning()) return
      anchored(runMs)
      put(fromMs)
    },
    /** Called every few seconds: past 10 ms apart, what lies ahead is anchored anew. */
    compare(runMs: () => number): void {
      const anewMs = audio.isRunning() ? anchored(runMs) : undefined
      if (anewMs !== undefined) put(anewMs)
    },
    silence(): void {
      due = []
      audio.cancel()
    },
  }
}
