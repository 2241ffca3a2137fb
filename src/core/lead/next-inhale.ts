import type { Milliseconds } from '#core/units'
import { countedRun, roundFrom } from './counted-run.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { currentLane, laneRun } from './over-lane.ts'
import { segmentOf } from './run.ts'

/**
 * When counting may come back after it was lost from sight: at the next round's inhale, so that nobody is
 * taken up inside a retention. Now, where nothing is counted.
 */
export function nextInhaleMs(plan: LeadPlan, state: LeadState): Milliseconds {
  const here = segmentOf(plan, state)
  if (!here || state.natural) return state.nowMs
  const lane = currentLane(plan, state)
  const [run, zeroMs] = lane
    ? [laneRun(lane), lane.fromMs]
    : [countedRun(here.doing), state.startedMs - state.skippedMs]
  if (!run) return state.nowMs
  return Math.max(state.nowMs, zeroMs + roundFrom(run, Math.max(0, state.nowMs - zeroMs)))
}
