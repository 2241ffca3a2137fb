import type { Pace, Pattern } from '#model/breath'
import { amiss, ok } from '#core/result'
import type { Result } from '#core/result'
import { patternChecks } from './fill-time.ts'
import type { BreathCode } from './fill-time.ts'
import { roundHalfCounts } from './pattern.ts'

/** Figures of one round; of nostrils in turn a round is two breaths [breath book 2]. */
export interface RoundFacts {
  readonly roundS: number
  readonly breathsPerMin: number
  /** Inhale, full, exhale, empty over their greatest common divisor. */
  readonly ratio: readonly [number, number, number, number]
  /** Share of the round that is held, 0 to 1. */
  readonly heldShare: number
  readonly longestHoldS: number
  readonly outOverIn: number
}

/**
 * What one round of a pattern in half-counts comes to at a pace; nothing is rounded. Refuses `NOT_FINITE` and
 * `OUT_OF_RANGE` by field.
 */
export function roundFacts({
  pattern,
  pace,
  alternate = false,
}: {
  readonly pattern: Pattern
  readonly pace: Pace
  readonly alternate?: boolean
}): Result<RoundFacts, BreathCode> {
  const wrong = amiss(patternChecks(pattern, pace))
  if (wrong) return wrong
  const halfS = pace.num / pace.den / 2000
  const breaths = alternate ? 2 : 1
  const halves = roundHalfCounts(pattern)
  const { in: inhale, full, out, empty } = pattern
  const divisor = [inhale, full, out, empty].reduce(greatestCommonDivisor)
  const roundS = breaths * halves * halfS
  return ok({
    roundS,
    breathsPerMin: (60 * breaths) / roundS,
    ratio: [inhale / divisor, full / divisor, out / divisor, empty / divisor],
    heldShare: (full + empty) / halves,
    longestHoldS: Math.max(full, empty) * halfS,
    outOverIn: out / inhale,
  })
}

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b))
