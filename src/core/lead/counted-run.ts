import type { Pace } from '#model/breath'
import type { LedDoing } from '#model/led-class'
import { boundaryMs } from '#core/breath'
import type { Milliseconds } from '#core/units'

interface RunPart {
  readonly part: 'in' | 'full' | 'out' | 'empty' | 'stay' | 'retention'
  readonly halfCounts: number
  readonly does: string | undefined
}

/** Whole rounds one after another, of a breath or of a movement, as counts drive them. */
export interface CountedRun {
  readonly rounds: number
  readonly pace: Pace
  /** Half-counts since counting began; boundaries run from there, so that no rounding adds up. */
  readonly from: number
  readonly parts: readonly RunPart[]
  /** Half-counts of a round. */
  readonly half: number
}

const order = ['in', 'full', 'out', 'empty'] as const

/** The counted run a segment is; undefined for whatever nobody counts. */
export function countedRun(doing: LedDoing): CountedRun | undefined {
  if (doing.kind === 'breath' && doing.part === 'counted') {
    const { rounds, pace, from, pattern } = doing
    const parts = order
      .map((part) => ({ part, halfCounts: pattern[part], does: undefined }))
      .filter(({ halfCounts }) => halfCounts > 0)
    return { rounds, pace, from, parts, half: halfOf(parts) }
  }
  if (doing.kind !== 'movement' || doing.part !== 'counted') return undefined
  const { rounds, pace, parts } = doing
  return { rounds, pace, from: 0, parts, half: halfOf(parts) }
}

const halfOf = (parts: readonly { readonly halfCounts: number }[]): number =>
  parts.reduce((sum, { halfCounts }) => sum + halfCounts, 0)

/** When half-count `k` of a run begins, from the run's own start. */
export const atHalf = ({ pace, from }: CountedRun, k: number): Milliseconds =>
  boundaryMs(from + k, pace) - boundaryMs(from, pace)

/** The round (from 0) that an instant of the run lies in, half-open. */
export function roundAt(run: CountedRun, sinceMs: Milliseconds): number {
  const { num, den } = run.pace
  let round = Math.max(0, Math.floor((sinceMs * 2 * den) / (run.half * num)))
  while (atHalf(run, (round + 1) * run.half) <= sinceMs) round += 1
  while (round > 0 && atHalf(run, round * run.half) > sinceMs) round -= 1
  return round
}

/** Where the first round that begins at or after an instant of the run begins. */
export function roundFrom(run: CountedRun, sinceMs: Milliseconds): Milliseconds {
  const round = roundAt(run, sinceMs)
  const startMs = atHalf(run, round * run.half)
  return startMs >= sinceMs ? startMs : atHalf(run, (round + 1) * run.half)
}

/** A part of a round, `[startMs, endMs)` from the run's own start. */
export interface PartOfRun extends RunPart {
  readonly round: number
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  /** Half-counts from the run's start: what tells this part from all others. */
  readonly k: number
}

/** The parts of the rounds that touch `[fromMs, toMs)`, in order. */
export function* partsBetween(run: CountedRun, fromMs: Milliseconds, toMs: Milliseconds): Generator<PartOfRun> {
  for (let round = roundAt(run, Math.max(0, fromMs)); round < run.rounds; round += 1) {
    let k = round * run.half
    for (const part of run.parts) {
      const [startMs, endMs] = [atHalf(run, k), atHalf(run, k + part.halfCounts)]
      if (startMs >= toMs) return
      if (endMs > fromMs) yield { ...part, round, startMs, endMs, k }
      k += part.halfCounts
    }
  }
}

/** The part at an instant of the run; undefined past its last round. */
export function partAt(run: CountedRun, sinceMs: Milliseconds): PartOfRun | undefined {
  return partsBetween(run, sinceMs, sinceMs + 1).next().value ?? undefined
}
