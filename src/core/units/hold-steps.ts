import { holdLimits } from '#model/limits'
import type { SecondsRange } from '#model/limits'
import type { Seconds } from './units.ts'

/** From three minutes on, holds go in steps of 30 s, below it of 15 s: times that can be said. */
const coarseFromS = 180

const stepAt = (seconds: Seconds): Seconds => (seconds >= coarseFromS ? 30 : 15)

/** The next longer hold one can say; never past the limit. */
export function stepUp(seconds: Seconds, limits: SecondsRange = holdLimits): Seconds {
  const step = stepAt(seconds)
  return Math.min(limits.mostS, (Math.floor(seconds / step) + 1) * step)
}

/** The next shorter hold one can say; never below the limit. */
export function stepDown(seconds: Seconds, limits: SecondsRange = holdLimits): Seconds {
  const step = stepAt(seconds - 1)
  return Math.max(limits.leastS, (Math.ceil(seconds / step) - 1) * step)
}

/** The nearest time one can say, within the limits. */
export function sayableSeconds(seconds: Seconds, limits: SecondsRange = holdLimits): Seconds {
  const step = stepAt(seconds)
  return Math.min(limits.mostS, Math.max(limits.leastS, Math.round(seconds / step) * step))
}
