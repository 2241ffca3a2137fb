import { computed, shallowRef } from 'vue'
import { ports } from '#web/shared/ports.ts'
import type { Ports } from '#web/shared/ports.ts'

export type Clocks = Pick<Ports, 'epochMs' | 'steadyMs'>

/** What a class goes by: the page's clocks, or in a rehearsal clocks that run so many times as fast. */
export interface LedClock {
  readonly speed: number
  readonly clocks: Clocks
}

/** Sped up, the page's clocks run on from now. */
function ledClock(speed: number): LedClock {
  const { epochMs, steadyMs } = ports()
  if (speed === 1) return { speed, clocks: { epochMs, steadyMs } }
  const [epoch0, steady0] = [epochMs(), steadyMs()]
  const since = (): number => (steadyMs() - steady0) * speed
  return { speed, clocks: { epochMs: () => epoch0 + since(), steadyMs: () => steady0 + since() } }
}

/** The clock of the class in this view, and whether it is a rehearsal of one. */
export function useLedClock() {
  const led = shallowRef(ledClock(1))
  return {
    now: (): LedClock => led.value,
    speed: computed(() => led.value.speed),
    isRehearsal: computed(() => led.value.speed !== 1),
    runAt(speed: number): void {
      led.value = ledClock(speed)
    },
  }
}
