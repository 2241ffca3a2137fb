import { readonly, ref } from 'vue'
import type { ShallowRef } from 'vue'
import { exactRunMs, missBells, soundsDue } from '#core/lead'
import type { Conducted } from '#core/lead'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { ports } from '#web/shared/ports.ts'
import { useBells } from '#web/shared/lead/use-bells.ts'

/** The class's own clock with its fractions, to be read beside the audio clock. */
const runClock = (conducted: Conducted) => () => exactRunMs(conducted, ports().steadyMs())

/** The sounds of the class that runs: all that are due scheduled at once, those held back told and never played late. */
export function useClassSound(conducted: ShallowRef<Conducted | undefined>) {
  const bells = useBells()
  const settings = useSettingsStore()
  const missed = ref(0)

  function schedule(): void {
    if (!conducted.value) return
    const { start, state } = conducted.value
    bells.replace(soundsDue(start.plan, state, settings.breathSounds), state.nowMs, runClock(conducted.value))
  }
  return {
    schedule,
    ring: bells.ring,
    check: bells.check,
    isHeard: bells.isHeard,
    missed: readonly(missed),
    /** Compares the audio clock with the page's. */
    compare(): void {
      if (conducted.value) bells.compare(runClock(conducted.value))
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
