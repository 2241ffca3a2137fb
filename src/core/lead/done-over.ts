import type { Visit } from '#model/led-class'
import { boundaryMs } from '#core/breath'
import type { Milliseconds } from '#core/units'
import { atTick } from './counted-run.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { currentLane, laneRun } from './over-lane.ts'

/**
 * Whole rounds of the breath over this hold that ended since its segment began, up to an instant or the pause before it;
 * none once it is left free.
 */
function roundsSince(plan: LeadPlan, state: LeadState, atMs: Milliseconds): number {
  const lane = currentLane(plan, state)
  const run = lane && laneRun(lane)
  if (!run) return 0
  const toMs = Math.min(atMs, state.pause?.sinceMs ?? atMs)
  const isDone = (round: number): boolean => {
    const endMs = lane.fromMs + atTick(run, (round + 1) * run.length)
    return endMs > state.startedMs && endMs <= toMs
  }
  return Array.from({ length: run.rounds }, (_, round) => round).filter(isDone).length
}

/** The state with the rounds done so far kept: before the breath over a hold begins anew, or is left free. */
export const roundsKept = (plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState => ({
  ...state,
  overRounds: state.overRounds + roundsSince(plan, state, atMs),
})

/** What was done of the breath over a hold in a visit that ends at an instant; nothing where none was planned. */
export function doneOver(
  plan: LeadPlan,
  state: LeadState,
  atMs: Milliseconds,
): Pick<Visit, 'rounds' | 'longestHeldMs'> {
  const segment = plan.segments[state.index]
  const over = segment?.doing.kind === 'hold' && !state.natural ? plan.over[segment.blockId] : undefined
  // After a stop sign the plan has it no more, and what was done before stays done.
  if (!over) return state.overRounds > 0 ? { rounds: state.overRounds } : {}
  const { overRounds: rounds } = roundsKept(plan, state, atMs)
  const longestHeldMs = boundaryMs(Math.max(over.pattern.full, over.pattern.empty), over.pace)
  return { rounds, ...(rounds > 0 && longestHeldMs > 0 ? { longestHeldMs } : {}) }
}
