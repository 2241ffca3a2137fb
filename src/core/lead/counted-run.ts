import type { Pace } from '#model/breath'
import type { LedDoing } from '#model/led-class'
import { boundaryMs, lungFill } from '#core/breath'
import type { Milliseconds } from '#core/units'

type CountedBreath = Extract<LedDoing, { kind: 'breath'; part: 'counted' }>
type CountedPart = CountedBreath['parts'][number]

/** A part of a round: of a breath with all that is led in it, or of a movement with what is done. */
export interface RunPart extends Omit<CountedPart, 'part'> {
  readonly part: CountedPart['part'] | 'stay' | 'retention'
  readonly does: string | undefined
  /** Lung fill from 0 (empty) to 1 (full), as it begins and as it ends. */
  readonly fill: readonly [from: number, to: number]
  /** The held breath it is a stretch of, where locks divide one: ticks before it, and in all. Else itself. */
  readonly whole: { readonly before: number; readonly ticks: number }
}

/** Whole rounds one after another, of a breath or of a movement, as counts drive them. */
export interface CountedRun {
  readonly rounds: number
  readonly pace: Pace
  /** Ticks a half-count: more than one where a breath is divided in steps. */
  readonly over: number
  /** Ticks since counting began; boundaries run from there, so that no rounding adds up. */
  readonly from: number
  readonly parts: readonly RunPart[]
  /** Ticks of a round. */
  readonly length: number
}

/** The counted run a segment is; undefined for whatever nobody counts. */
export function countedRun(doing: LedDoing): CountedRun | undefined {
  if (doing.kind === 'breath' && doing.part === 'counted') {
    const { rounds, pace, over, from, parts } = doing
    return { rounds, pace, over, from, parts: filled(parts), length: lengthOf(parts) }
  }
  if (doing.kind !== 'movement' || doing.part !== 'counted') return undefined
  const parts = doing.parts.map(({ part, halfCounts: ticks, does }) => ({
    part,
    ticks,
    does,
    fill: level,
    whole: { before: 0, ticks },
  }))
  return { rounds: doing.rounds, pace: doing.pace, over: 1, from: 0, parts, length: lengthOf(parts) }
}

const level: RunPart['fill'] = [0, 0]

const lengthOf = (parts: readonly { readonly ticks: number }[]): number =>
  parts.reduce((sum, { ticks }) => sum + ticks, 0)

/** Parts with the lung fill they begin and end with, and with the held breath they belong to. */
const filled = (parts: readonly CountedPart[]): RunPart[] =>
  parts.map((part, at) => ({ ...part, does: undefined, fill: lungFill(parts, at), whole: wholeOf(parts, at) }))

function wholeOf(parts: readonly CountedPart[], at: number): RunPart['whole'] {
  const here = parts[at]
  if (here?.part !== 'full' && here?.part !== 'empty') return { before: 0, ticks: here?.ticks ?? 0 }
  const first = parts.slice(0, at).findLastIndex(({ part }) => part !== here.part) + 1
  const after = parts.slice(at).findIndex(({ part }) => part !== here.part)
  const group = parts.slice(first, after < 0 ? undefined : at + after)
  return { before: lengthOf(parts.slice(first, at)), ticks: lengthOf(group) }
}

/** When tick `k` of a run begins, from the run's own start. */
export function atTick({ pace: { num, den }, over, from }: CountedRun, k: number): Milliseconds {
  const pace = { num, den: den * over }
  return boundaryMs(from + k, pace) - boundaryMs(from, pace)
}

/** A lead-in is this long, or as long as the longest exhale of the round [breath book 1]. */
const leastLeadInMs = 6000

/** How long before a run is counted people are led into it. */
export function leadInMs(run: CountedRun): Milliseconds {
  const outTicks = run.parts.reduce((sum, { part, ticks }) => (part === 'out' ? sum + ticks : sum), 0)
  const outs = run.parts.filter(({ part }, at) => part === 'out' && run.parts[at - 1]?.part !== 'out').length
  const exhaleMs = (outTicks / Math.max(1, outs) / run.over / 2) * (run.pace.num / run.pace.den)
  return Math.max(leastLeadInMs, Math.ceil(exhaleMs))
}

/** The round (from 0) that an instant of the run lies in, half-open. */
export function roundAt(run: CountedRun, sinceMs: Milliseconds): number {
  const { num, den } = run.pace
  let round = Math.max(0, Math.floor((sinceMs * 2 * den * run.over) / (run.length * num)))
  while (atTick(run, (round + 1) * run.length) <= sinceMs) round += 1
  while (round > 0 && atTick(run, round * run.length) > sinceMs) round -= 1
  return round
}

/** How many whole rounds a run has in so long, at most its own. */
export function roundsIn(run: CountedRun, lengthMs: Milliseconds): number {
  let { rounds } = run
  while (rounds > 0 && atTick(run, rounds * run.length) > lengthMs) rounds -= 1
  return rounds
}

/** Where the first round that begins at or after an instant of the run begins. */
export function roundFrom(run: CountedRun, sinceMs: Milliseconds): Milliseconds {
  const round = roundAt(run, sinceMs)
  const startMs = atTick(run, round * run.length)
  return startMs >= sinceMs ? startMs : atTick(run, (round + 1) * run.length)
}

/** A part of a round, `[startMs, endMs)` from the run's own start. */
export interface PartOfRun extends RunPart {
  readonly round: number
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  /** Ticks from the run's start: what tells this part from all others. */
  readonly k: number
  /** Whether the breath turns here: not where only a lock is taken or let go in a held breath. */
  readonly turns: boolean
}

/** The parts of the rounds that touch `[fromMs, toMs)`, in order. */
export function* partsBetween(run: CountedRun, fromMs: Milliseconds, toMs: Milliseconds): Generator<PartOfRun> {
  for (let round = roundAt(run, Math.max(0, fromMs)); round < run.rounds; round += 1) {
    let k = round * run.length
    for (const [at, part] of run.parts.entries()) {
      const [startMs, endMs] = [atTick(run, k), atTick(run, k + part.ticks)]
      if (startMs >= toMs) return
      const turns = part.part !== run.parts[at - 1]?.part
      if (endMs > fromMs) yield { ...part, round, startMs, endMs, k, turns }
      k += part.ticks
    }
  }
}

/** The part at an instant of the run; undefined past its last round. */
export function partAt(run: CountedRun, sinceMs: Milliseconds): PartOfRun | undefined {
  return partsBetween(run, sinceMs, sinceMs + 1).next().value ?? undefined
}
