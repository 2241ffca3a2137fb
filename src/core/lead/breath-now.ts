import type { BreathPart } from '#core/breath'
import type { Milliseconds } from '#core/units'
import { atTick, countedRun, partAt, roundsIn } from './counted-run.ts'
import type { CountedRun, PartOfRun } from './counted-run.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { currentLane, laneRun } from './over-lane.ts'
import { planNow } from './plan-now.ts'
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
/** A count of a breath, with all that is led in it. */
export type BreathNow = CountNow<BreathPart | 'pause'> & Pick<PartOfRun, 'through' | 'step' | 'lock'>
/** A count of a movement, with what is done in it. */
export type MovementNow = CountNow<'in' | 'out' | 'stay' | 'retention'> & { readonly does: string }

const isHidden = (state: LeadState): boolean =>
  state.phase === 'ended' || state.pause !== null || state.natural !== null || state.nowMs < state.quietUntilMs

/** The breath that is counted now; undefined in natural breath, in pauses, and until counting comes back. */
export function breathNow(planned: LeadPlan, state: LeadState): BreathNow | undefined {
  const plan = planNow(planned, state)
  const here = segmentOf(plan, state)
  if (!here || isHidden(state)) return undefined
  const lane = currentLane(plan, state)
  const counted = lane
    ? countIn(laneRun(lane), lane.fromMs, state.nowMs)
    : here.doing.kind === 'breath'
      ? countIn(countedRun(here.doing), state.startedMs - state.skippedMs, state.nowMs, state.lengths[state.index])
      : undefined
  if (!counted) return undefined
  const { does: _, part, ...now } = counted
  return isBreathPart(part) ? { ...now, part } : undefined
}

/** The movement that is counted now; undefined in its rest, in pauses, and until counting comes back. */
export function movementNow(planned: LeadPlan, state: LeadState): MovementNow | undefined {
  const plan = planNow(planned, state)
  const here = segmentOf(plan, state)
  if (here?.doing.kind !== 'movement' || isHidden(state)) return undefined
  const counted = countIn(countedRun(here.doing), state.startedMs - state.skippedMs, state.nowMs)
  if (!counted || counted.part === 'full' || counted.part === 'empty' || counted.part === 'pause') return undefined
  const { part, count, counts, round, rounds, startMs, endMs, does = '' } = counted
  return { part, count, counts, round, rounds, startMs, endMs, does }
}

const isBreathPart = (part: string): part is BreathPart | 'pause' =>
  ['in', 'full', 'out', 'empty', 'pause'].includes(part)

/** `lengthMs`, where it is known, is how long the run is led: shorter than planned where rounds were left out. */
function countIn(run: CountedRun | undefined, zeroMs: Milliseconds, nowMs: Milliseconds, lengthMs = Infinity) {
  const here = run && nowMs >= zeroMs ? partAt(run, nowMs - zeroMs) : undefined
  if (!run || !here) return undefined
  const { part, does, through, step, lock, round, whole } = here
  // A held breath is counted as one, whatever locks are taken and let go in it.
  const startK = here.k - whole.before
  const [startMs, endMs] = [atTick(run, startK), atTick(run, startK + whole.ticks)]
  const counts = whole.ticks / run.over / 2
  const share = (nowMs - zeroMs - startMs) / (endMs - startMs)
  return {
    part,
    does,
    counts,
    count: Math.min(Math.ceil(counts), Math.floor(share * counts) + 1),
    round: round + 1,
    rounds: roundsIn(run, lengthMs),
    startMs: zeroMs + startMs,
    endMs: zeroMs + endMs,
    ...(through === undefined ? {} : { through }),
    ...(step === undefined ? {} : { step }),
    ...(lock === undefined ? {} : { lock }),
  }
}
