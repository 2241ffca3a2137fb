import type { BreathPart } from '#core/breath'
import type { Milliseconds } from '#core/units'
import { countedRun, partAt } from './counted-run.ts'
import type { CountedRun } from './counted-run.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { currentLane, laneRun } from './over-lane.ts'
import { segmentOf } from './run.ts'

/** A count at an instant: which part, which count of how many, which round. */
export interface CountNow<Part extends string> {
  readonly part: Part
  readonly count: number
  readonly counts: number
  readonly round: number
  readonly rounds: number
  /** When this part began and ends. */
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
}
export type BreathNow = CountNow<BreathPart>
/** A count of a movement, with what is done in it. */
export type MovementNow = CountNow<'in' | 'out' | 'stay' | 'retention'> & { readonly does: string }

const isHidden = (state: LeadState): boolean =>
  state.phase === 'ended' || state.pause !== null || state.natural !== null || state.nowMs < state.quietUntilMs

/** The breath that is counted now; undefined in natural breath, in pauses, and until counting comes back. */
export function breathNow(plan: LeadPlan, state: LeadState): BreathNow | undefined {
  const here = segmentOf(plan, state)
  if (!here || isHidden(state)) return undefined
  const lane = currentLane(plan, state)
  const counted = lane
    ? countIn(laneRun(lane), lane.fromMs, state.nowMs)
    : here.doing.kind === 'breath'
      ? countIn(countedRun(here.doing), state.startedMs - state.skippedMs, state.nowMs)
      : undefined
  return counted && isBreathPart(counted.part) ? { ...counted, part: counted.part } : undefined
}

/** The movement that is counted now; undefined in its rest, in pauses, and until counting comes back. */
export function movementNow(plan: LeadPlan, state: LeadState): MovementNow | undefined {
  const here = segmentOf(plan, state)
  if (here?.doing.kind !== 'movement' || isHidden(state)) return undefined
  const counted = countIn(countedRun(here.doing), state.startedMs - state.skippedMs, state.nowMs)
  return counted && counted.part !== 'full' && counted.part !== 'empty'
    ? { ...counted, part: counted.part, does: counted.does ?? '' }
    : undefined
}

const isBreathPart = (part: string): part is BreathPart => ['in', 'full', 'out', 'empty'].includes(part)

function countIn(run: CountedRun | undefined, zeroMs: Milliseconds, nowMs: Milliseconds) {
  const part = run && nowMs >= zeroMs ? partAt(run, nowMs - zeroMs) : undefined
  if (!run || !part) return undefined
  const counts = part.halfCounts / 2
  const share = (nowMs - zeroMs - part.startMs) / (part.endMs - part.startMs)
  return {
    part: part.part,
    does: part.does,
    counts,
    count: Math.min(Math.ceil(counts), Math.floor(share * counts) + 1),
    round: part.round + 1,
    rounds: run.rounds,
    startMs: zeroMs + part.startMs,
    endMs: zeroMs + part.endMs,
  }
}
