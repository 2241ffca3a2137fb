import type { Milliseconds } from '#core/units'
import { atTick, countedRun, roundsIn } from '../counted-run.ts'
import type { LeadSegment } from '../lead-plan.ts'
import { aheadIn } from './ahead.ts'
import type { BlockAhead, Rest } from './ahead.ts'
import { finalRestBy } from './holds.ts'
import type { Changed, Tried } from './ways.ts'

/** A section keeps at least so many rounds, and half of what it has [settled B19]. */
const leastRounds = 3

/** A run of whole rounds as it is set now. */
interface Run {
  readonly segment: LeadSegment
  readonly rounds: number
  /** How long it is with so many rounds. */
  readonly lengthMs: (rounds: number) => Milliseconds
  readonly set: number
}

/** How a section may lose rounds: from its last set, at each of its places alike, or in the middle of its slope. */
export type LosesRounds = 'fromItsEnd' | 'eachPlace' | 'fromItsMiddle'

/**
 * Fewer rounds: whole ones, from the last section of rounds of the longest breath work first. Places for the hands lose the
 * same number each, lists of nostrils whole lists, a slope its middle and never its way back; no section less than half its
 * rounds or three, and never a retention, strokes, or natural breath. What a round takes too much goes to the final rest.
 */
export function fewerRounds(rest: Rest, from: Tried, byMs: Milliseconds): Tried {
  let tried = from
  let leftMs = byMs
  for (const block of longestFirst(aheadIn(rest, new Set(from.leaves)), from)) {
    const loses = rest.book.rounds.get(block.id) ?? []
    for (const { section, how } of loses.toReversed()) {
      if (leftMs <= 0) break
      const [next, goneMs] = lessIn(block, section, how, tried, leftMs)
      tried = next
      leftMs -= goneMs
    }
  }
  return leftMs < 0 ? finalRestBy(rest, tried, -leftMs) : tried
}

const lengthIn = ({ segments }: BlockAhead, { lengths }: Tried): Milliseconds =>
  segments.reduce((sum, { index }) => sum + (lengths[index] ?? 0), 0)

const longestFirst = (blocks: readonly BlockAhead[], from: Tried): BlockAhead[] =>
  blocks.toSorted((a, b) => lengthIn(b, from) - lengthIn(a, from))

/** A section with as few rounds less as will do, and by how much it is shorter. */
function lessIn(
  block: BlockAhead,
  section: number,
  how: LosesRounds,
  from: Tried,
  byMs: Milliseconds,
): readonly [Tried, Milliseconds] {
  const runs = runsOf(block, section, from)
  const allRounds = sum(runs.map(({ rounds }) => rounds))
  const most = allRounds - Math.max(leastRounds, Math.ceil(plannedRounds(block, section) / 2))
  const rounds = runs.map((run) => run.rounds)
  let [gone, goneMs] = [0, 0]
  for (;;) {
    const lose = nextToLose(runs, rounds, how)
    if (lose.length === 0 || gone + lose.length > most || goneMs >= byMs) break
    for (const at of lose) {
      const run = runs[at]
      const now = rounds[at] ?? 0
      if (!run) continue
      rounds[at] = now - 1
      goneMs += run.lengthMs(now) - run.lengthMs(now - 1) + (now === 1 ? aroundMs(block, section, run.set, from) : 0)
    }
    gone += lose.length
  }
  if (gone === 0) return [from, 0]
  const lengths = [...from.lengths]
  runs.forEach((run, at) => {
    lengths[run.segment.index] = run.lengthMs(rounds[at] ?? 0)
    if (rounds[at] === 0) for (const { index } of aroundSet(block, section, run.set)) lengths[index] = 0
  })
  const changed: Changed = {
    ...{ blockId: block.id, of: 'rounds', fromMs: lengthIn(block, from), toMs: lengthIn(block, { ...from, lengths }) },
    rounds: { from: allRounds, to: allRounds - gone },
  }
  return [{ ...from, lengths, changed: [...from.changed, changed] }, goneMs]
}

/** Which runs lose their next round. */
function nextToLose(runs: readonly Run[], rounds: readonly number[], how: LosesRounds): readonly number[] {
  const all = [...runs.keys()]
  // No place is left without a round.
  if (how === 'eachPlace') return rounds.every((now) => now > 1) ? all : []
  if (how === 'fromItsEnd') return all.filter((at) => (rounds[at] ?? 0) > 0).slice(-1)
  // The furthest of a slope is what differs most from where it begins; something of it stays.
  const startMs = runs[0] ? roundMs(runs[0]) : 0
  const farMs = Math.max(...runs.map((run) => Math.abs(roundMs(run) - startMs)))
  const middle = all.filter((at) => runs[at] && Math.abs(roundMs(runs[at]) - startMs) === farMs)
  if (sum(middle.map((at) => rounds[at] ?? 0)) <= 1) return []
  return middle.filter((at) => (rounds[at] ?? 0) > 0).slice(-1)
}

const roundMs = ({ segment }: Run): Milliseconds => {
  const run = countedRun(segment.doing)
  return run ? (run.length / run.over) * (run.pace.num / run.pace.den) : 0
}

function runsOf({ segments }: BlockAhead, section: number, { lengths }: Tried): Run[] {
  return segments.flatMap((segment): Run[] => {
    const { doing, index } = segment
    const run = countedRun(doing)
    if (doing.kind !== 'breath' || doing.part !== 'counted' || doing.section !== section || !run) return []
    const lengthMs = (rounds: number): Milliseconds => atTick(run, rounds * run.length)
    const rounds = roundsIn(run, lengths[index] ?? 0)
    return rounds === 0 ? [] : [{ segment, rounds, lengthMs, set: doing.set }]
  })
}

const plannedRounds = ({ segments }: BlockAhead, section: number): number =>
  sum(
    segments.map(({ doing }) =>
      doing.kind === 'breath' && doing.part === 'counted' && doing.section === section ? doing.rounds : 0,
    ),
  )

/** What stands around a set: its rest, the lead-in, the way out. */
const aroundSet = ({ segments }: BlockAhead, section: number, set: number): readonly LeadSegment[] =>
  segments.filter(
    ({ doing }) =>
      doing.kind === 'breath' &&
      doing.section === section &&
      doing.set === set &&
      (doing.part === 'rest' || doing.part === 'leadIn' || doing.part === 'wayOut'),
  )

const aroundMs = (block: BlockAhead, section: number, set: number, { lengths }: Tried): Milliseconds =>
  sum(aroundSet(block, section, set).map(({ index }) => lengths[index] ?? 0))

const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0)
