import { ok, refused } from '#core/result'
import type { Milliseconds } from '#core/units'
import type { Result } from '#core/result'

/** What a count did over time [breath book 6]. */
export interface Steadiness {
  readonly meanMs: number
  /** How much longer than wanted a count was on the whole, percent; negative: faster. */
  readonly offPercent: number
  /** By how much the gaps grew a minute, percent of their mean; negative: speeding up. */
  readonly driftPercentPerMin: number
  /** How unevenly, once the drift is taken out, percent of the mean. */
  readonly jitterPercent: number
}

const leastGaps = 8
const minuteMs = 60_000

/**
 * How steady a count was from the instants it was tapped at. Refuses `TOO_FEW` under 9 taps, `OUT_OF_RANGE` where they
 * do not strictly rise or the wanted count is not above 0.
 */
export function steadiness({
  tapsMs,
  wantMs,
}: {
  readonly tapsMs: readonly Milliseconds[]
  readonly wantMs: Milliseconds
}): Result<Steadiness, 'TOO_FEW' | 'OUT_OF_RANGE'> {
  const gaps = tapsMs.slice(1).map((tap, at) => tap - (tapsMs[at] ?? NaN))
  if (gaps.length < leastGaps) return refused('TOO_FEW', 'tapsMs', { least: leastGaps + 1, given: tapsMs.length })
  if (!gaps.every((gap) => gap > 0 && Number.isFinite(gap))) return refused('OUT_OF_RANGE', 'tapsMs')
  if (!(wantMs > 0)) return refused('OUT_OF_RANGE', 'wantMs')
  const minutes = gaps.map((gap, at) => ((tapsMs[at] ?? NaN) + gap / 2) / minuteMs)
  const meanMs = mean(gaps)
  const middle = mean(minutes)
  const slope =
    sum(gaps.map((gap, at) => (gap - meanMs) * ((minutes[at] ?? NaN) - middle))) /
    sum(minutes.map((minute) => (minute - middle) ** 2))
  const residuals = gaps.map((gap, at) => gap - meanMs - slope * ((minutes[at] ?? NaN) - middle))
  return ok({
    meanMs,
    offPercent: 100 * (meanMs / wantMs - 1),
    driftPercentPerMin: (100 * slope) / meanMs,
    jitterPercent: (100 * Math.sqrt(sum(residuals.map((one) => one ** 2)) / (gaps.length - 2))) / meanMs,
  })
}

const sum = (numbers: readonly number[]): number => numbers.reduce((all, one) => all + one, 0)
const mean = (numbers: readonly number[]): number => sum(numbers) / numbers.length
