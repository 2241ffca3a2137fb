import { onScopeDispose, readonly, ref } from 'vue'
import type { DueSound, PlayedSound } from '#core/lead'
import { makeBellSchedule } from './bell-schedule.ts'
import { ports } from '../ports.ts'

/** A bell asked for now sounds a moment later, so that none of its attack is lost. */
const soonS = 0.02

/** The class's sounds on the audio clock, and whether the browser lets them be heard. */
export function useBells() {
  const audio = ports().audio()
  const schedule = makeBellSchedule(audio)
  const isHeard = ref(audio.isRunning())
  const isRunning = (): boolean => {
    isHeard.value = audio.isRunning()
    return isHeard.value
  }
  onScopeDispose(() => {
    schedule.silence()
  })
  return {
    isHeard: readonly(isHeard),
    isRunning,
    replace: (due: readonly DueSound[], fromMs: number, runMs: () => number) => {
      schedule.replace(due, fromMs, runMs)
    },
    compare: (runMs: () => number) => {
      schedule.compare(runMs)
    },
    silence: () => {
      schedule.silence()
    },
    ring(sound: PlayedSound): void {
      if (audio.isRunning()) audio.schedule(sound, audio.now() + soonS)
    },
    async letThrough(): Promise<void> {
      await audio.resume()
      isRunning()
    },
    /** Lets sound through, and sounds something to hear how loud it is. */
    async check(sound: PlayedSound): Promise<void> {
      await audio.resume()
      audio.schedule(sound, audio.now() + soonS)
      isRunning()
    },
  }
}
