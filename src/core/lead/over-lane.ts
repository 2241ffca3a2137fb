import { roundHalfCounts, roundsThatFit } from '#core/breath'
import type { Milliseconds } from '#core/units'
import { countedRun, partsBetween } from './counted-run.ts'
import type { CountedRun, PartOfRun } from './counted-run.ts'
import type { LeadOver, LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { currentEndMs, lengthOf, partEnd, partStart } from './run.ts'

/** The counted breath over a hold side: whole rounds from its start, then natural breath. */
export interface OverLane {
  readonly over: LeadOver
  /** When its first round begins. */
  readonly fromMs: Milliseconds
  /** Whole rounds that the hold side still takes from there. */
  readonly rounds: number
}

function overOf(plan: LeadPlan, state: LeadState, index: number): LeadOver | undefined {
  const segment = plan.segments[index]
  if (segment?.doing.kind !== 'hold' || state.freely.includes(segment.blockId)) return undefined
  return plan.over[segment.blockId]
}

function laneOf(over: LeadOver, fromMs: Milliseconds, endMs: Milliseconds): OverLane {
  const most = Math.max(0, roundsThatFit(Math.max(0, endMs - fromMs), over.pattern, over.pace))
  return { over, fromMs, rounds: Math.min(over.rounds ?? most, most) }
}

/** The counted breath over the hold side that runs now; undefined where there is none, or it is left free. */
export function currentLane(plan: LeadPlan, state: LeadState): OverLane | undefined {
  const over = state.natural ? undefined : overOf(plan, state, state.index)
  if (!over) return undefined
  let endMs = currentEndMs(state)
  for (let index = state.index + 1; index < partEnd(plan, state.index); index += 1) endMs += lengthOf(state, index)
  return laneOf(over, state.overFromMs, endMs)
}

/** The counted breath over a hold side to come, which begins with segment `index` at `startMs`. */
export function comingLane(
  plan: LeadPlan,
  state: LeadState,
  index: number,
  startMs: Milliseconds,
): OverLane | undefined {
  const over = partStart(plan, index) === index ? overOf(plan, state, index) : undefined
  if (!over) return undefined
  let endMs = startMs
  for (let at = index; at < partEnd(plan, index); at += 1) endMs += lengthOf(state, at)
  return laneOf(over, startMs, endMs)
}

const order = ['in', 'full', 'out', 'empty'] as const

/** The lane as a counted run from its own start. */
export function laneRun({ over, rounds }: OverLane): CountedRun | undefined {
  const { pattern, pace } = over
  if (rounds < 1 || roundHalfCounts(pattern) === 0) return undefined
  const parts = order.flatMap((part) => (pattern[part] > 0 ? [{ part, ticks: pattern[part] }] : []))
  return countedRun({ kind: 'breath', part: 'counted', section: 0, set: 1, rounds, pace, over: 1, from: 0, parts })
}

/** The parts of a lane that touch `[fromMs, toMs)` of the class, at most its first `most` rounds; from its own start. */
export function* lanePart(
  lane: OverLane,
  fromMs: Milliseconds,
  toMs: Milliseconds,
  most = Infinity,
): Generator<PartOfRun> {
  const run = laneRun({ ...lane, rounds: Math.min(lane.rounds, most) })
  if (run) yield* partsBetween(run, fromMs - lane.fromMs, toMs - lane.fromMs)
}
