import type { Pace, Pattern } from '#model/breath'
import type { Level } from '#model/common'
import { amiss, ok } from '#core/result'
import type { Checked, Result } from '#core/result'
import type { Milliseconds } from '#core/units'
import { boundaryMs } from './boundary.ts'
import { roundHalfCounts } from './pattern.ts'

export type BreathCode = 'NOT_FINITE' | 'OUT_OF_RANGE'

/** What the calculations of the breath book take [settled C1]. */
const mostTimeMs = 14_400_000
const mostRestMs = 1_800_000
const mostRounds = 500
const paceMs = [250, 10_000] as const
const mostHalfCounts = 128

export interface FilledTime {
  /** Rounds in all. */
  readonly rounds: number
  /** Rounds of each set, in order; the last may be shorter; empty when not one round fits. */
  readonly sets: readonly number[]
  /** What is left over, as natural breath at the end. */
  readonly leftMs: Milliseconds
}

interface FillInput {
  readonly timeMs: Milliseconds
  readonly pattern: Pattern
  readonly pace: Pace
  readonly roundsPerSet: number
  readonly restMs: Milliseconds
  /** Nostrils in turn: a round is two breaths. */
  readonly alternate?: boolean
}

/** Ranges of a pattern's parts and its pace, by their fields. */
export const patternChecks = (pattern: Pattern, pace: Pace): Checked[] => [
  ['pattern.in', pattern.in, 1, mostHalfCounts],
  ['pattern.full', pattern.full, 0, mostHalfCounts],
  ['pattern.out', pattern.out, 1, mostHalfCounts],
  ['pattern.empty', pattern.empty, 0, mostHalfCounts],
  ['pace', pace.num / pace.den, ...paceMs],
]

/** Most whole rounds in a time. */
export const roundsThatFit = (timeMs: Milliseconds, pattern: Pattern, pace: Pace): number =>
  mostRoundsIn(timeMs, roundHalfCounts(pattern), pace)

/** Most whole rounds of a length in half-counts in a time. */
function mostRoundsIn(timeMs: Milliseconds, halfCounts: number, pace: Pace): number {
  const rounds = Math.floor((timeMs * 2 * pace.den) / (halfCounts * pace.num))
  return boundaryMs((rounds + 1) * halfCounts, pace) <= timeMs ? rounds + 1 : rounds
}

/**
 * Most rounds that fit a time in sets of `roundsPerSet` with `restMs` between sets, never ending in a rest, with only
 * the rests that are taken [breath book 3]. Pattern in half-counts. Refuses `NOT_FINITE` and `OUT_OF_RANGE` by field.
 */
export function fillTime(input: FillInput): Result<FilledTime, BreathCode> {
  const { timeMs, pattern, pace, roundsPerSet, restMs, alternate = false } = input
  const wrong = amiss([
    ['timeMs', timeMs, 0, mostTimeMs],
    ...patternChecks(pattern, pace),
    ['roundsPerSet', roundsPerSet, 1, mostRounds],
    ['restMs', restMs, 0, mostRestMs],
  ])
  const halfCounts = roundHalfCounts(pattern) * (alternate ? 2 : 1)
  return wrong ?? ok(fill({ timeMs, halfCounts, pace, roundsPerSet, restMs }))
}

/** The same of rounds of any length in half-counts, unchecked. */
export function fill({
  timeMs,
  halfCounts,
  pace,
  roundsPerSet,
  restMs,
}: Omit<FillInput, 'pattern' | 'alternate'> & { readonly halfCounts: number }): FilledTime {
  const takenMs = (rounds: number) =>
    rounds === 0 ? 0 : boundaryMs(rounds * halfCounts, pace) + (Math.ceil(rounds / roundsPerSet) - 1) * restMs
  let rounds = mostRoundsIn(Math.max(0, timeMs), halfCounts, pace)
  // A rest costs at most as many rounds as there are: the loop ends at 0 at the latest.
  while (rounds > 0 && takenMs(rounds) > timeMs) rounds -= 1
  return { rounds, sets: inSets(rounds, roundsPerSet), leftMs: timeMs - takenMs(rounds) }
}

/** Rounds in sets of so many; the last may be shorter. */
export function inSets(rounds: number, roundsPerSet: number): number[] {
  const rest = rounds % roundsPerSet
  return [...new Array<number>(Math.floor(rounds / roundsPerSet)).fill(roundsPerSet), ...(rest === 0 ? [] : [rest])]
}

export interface SetsOption {
  readonly roundsPerSet: number
  readonly rounds: number
  readonly leftMs: Milliseconds
}

/** How many rounds a set is offered with, and how many sizes. */
export const setSizes = { least: 3, most: 20 } as const
export const mostOffered = 5

/**
 * Up to five rounds a set for a time, by what they leave over, then more rounds, then fewer a set [settled C3]. Two sizes
 * that come to the same rounds without a rest are one.
 */
export function setsFor(input: Omit<FillInput, 'roundsPerSet'>): Result<readonly SetsOption[], BreathCode> {
  const checked = fillTime({ ...input, roundsPerSet: 1 })
  if (!checked.ok) return checked
  const halfCounts = roundHalfCounts(input.pattern) * (input.alternate ? 2 : 1)
  const options = Array.from({ length: setSizes.most - setSizes.least + 1 }, (_, at) => setSizes.least + at)
    .map((roundsPerSet): SetsOption => {
      const { rounds, leftMs } = fill({ ...input, halfCounts, roundsPerSet })
      return { roundsPerSet, rounds, leftMs }
    })
    .filter(({ rounds, roundsPerSet }) => rounds >= roundsPerSet)
  return ok(
    options
      .sort((a, b) => a.leftMs - b.leftMs || b.rounds - a.rounds || a.roundsPerSet - b.roundsPerSet)
      .slice(0, mostOffered),
  )
}

/** Bases a ratio is offered on, in counts, by level [settled C3]. */
const mostBase: Readonly<Record<Level, number>> = { new: 3, regular: 4, experienced: 4 }

export interface CountOption {
  /** Counts of the ratio's 1. */
  readonly base: number
  readonly pattern: Pattern
  readonly totalMs: Milliseconds
}

/**
 * For given rounds a set, sets and rests the whole base of a ratio whose total comes nearest to a time, the shorter on a
 * tie. Counts of a second unless a pace is said.
 */
export function countFor({
  timeMs,
  ratio,
  rounds,
  sets,
  restMs,
  level,
  pace = { num: 1000, den: 1 },
}: {
  readonly timeMs: Milliseconds
  readonly ratio: readonly [inhale: number, full: number, out: number, empty: number]
  readonly rounds: number
  readonly sets: number
  readonly restMs: Milliseconds
  readonly level: Level
  readonly pace?: Pace
}): Result<CountOption, BreathCode> {
  const [inhale, full, out, empty] = ratio
  const patternOn = (base: number): Pattern => ({
    in: inhale * base * 2,
    full: full * base * 2,
    out: out * base * 2,
    empty: empty * base * 2,
  })
  const wrong = amiss([
    ['timeMs', timeMs, 0, mostTimeMs],
    ...patternChecks(patternOn(1), pace).map(([field, ...range]): Checked => [
      field.replace('pattern', 'ratio'),
      ...range,
    ]),
    ['rounds', rounds, 1, mostRounds],
    ['sets', sets, 1, mostRounds],
    ['restMs', restMs, 0, mostRestMs],
  ])
  if (wrong) return wrong
  const options = Array.from({ length: mostBase[level] }, (_, at): CountOption => {
    const pattern = patternOn(at + 1)
    const countedMs = boundaryMs(rounds * sets * roundHalfCounts(pattern), pace)
    return { base: at + 1, pattern, totalMs: countedMs + (sets - 1) * restMs }
  })
  const apart = ({ totalMs }: CountOption) => Math.abs(totalMs - timeMs)
  return ok(options.reduce((best, one) => (apart(one) < apart(best) ? one : best)))
}
