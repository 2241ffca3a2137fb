import type { Pace, Pattern } from '#model/breath'
import type { Milliseconds } from '#core/units'
import { boundaryMs } from './boundary.ts'
import { roundHalfCounts } from './pattern.ts'

export interface FilledTime {
  /** Rounds of each set, in order; the last may be shorter; empty when not one round fits. */
  readonly sets: readonly number[]
  /** What is left over, as natural breath at the end. */
  readonly leftMs: Milliseconds
}

/** Most whole rounds in a time. */
export function roundsThatFit(timeMs: Milliseconds, pattern: Pattern, pace: Pace): number {
  const half = roundHalfCounts(pattern)
  let rounds = Math.floor((timeMs * 2 * pace.den) / (half * pace.num))
  if (boundaryMs((rounds + 1) * half, pace) <= timeMs) rounds += 1
  return rounds
}

/**
 * Most rounds that fit a time in sets of `roundsPerSet` with `restMs` between sets, never ending in a
 * rest: handbook, "Rounds that fit = floor((time − rests) / round)", with only the rests that are taken.
 */
export function fillTime(
  timeMs: Milliseconds,
  pattern: Pattern,
  pace: Pace,
  roundsPerSet: number,
  restMs: Milliseconds,
): FilledTime {
  const half = roundHalfCounts(pattern)
  const takenMs = (rounds: number) =>
    rounds === 0 ? 0 : boundaryMs(rounds * half, pace) + (Math.ceil(rounds / roundsPerSet) - 1) * restMs
  let rounds = roundsThatFit(timeMs, pattern, pace)
  // A rest costs at most as many rounds as there are: the loop ends at 0 at the latest.
  while (takenMs(rounds) > timeMs) rounds -= 1
  const whole = Math.floor(rounds / roundsPerSet)
  const rest = rounds % roundsPerSet
  const sets = [...new Array<number>(whole).fill(roundsPerSet), ...(rest === 0 ? [] : [rest])]
  return { sets, leftMs: timeMs - takenMs(rounds) }
}
