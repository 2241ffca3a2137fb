import { readonly, ref } from 'vue'
import type { ShallowRef } from 'vue'
import { exactRunMs, missBells, soundsDue } from '#core/lead'
import type { Conducted } from '#core/lead'
import { ports } from '#web/shared/ports.ts'
import { useBells } from './use-bells.ts'

/** The sounds of the class that runs: all that are due scheduled at once, those held back told and never played late. */
export function useClassSound(conducted: ShallowRef<Conducted | undefined>) {
  const bells = useBells()
  const missed = ref(0)

  function schedule(): void {
    if (!conducted.value) return
    const { start, state } = conducted.value
    bells.replace(soundsDue(start.plan, state), state.nowMs, exactRunMs(conducted.value, ports().steadyMs()))
  }
  return {
    schedule,
    ring: bells.ring,
    check: bells.check,
    isHeard: bells.isHeard,
    missed: readonly(missed),
    /** Compares the audio clock with the page's. */
    compare(): void {
      if (conducted.value) bells.compare(exactRunMs(conducted.value, ports().steadyMs()))
    },
    /** Bells that came due since then while sound is held back are told and recorded. */
    noteMissed(before: Conducted): void {
      if (bells.isRunning() || !conducted.value) return
      const [next, count] = missBells(before, conducted.value)
      conducted.value = next
      missed.value += count
    },
    /** The first touch or key after a reload only lets the sound through. */
    async letThrough(): Promise<void> {
      await bells.letThrough()
      schedule()
    },
  }
}
