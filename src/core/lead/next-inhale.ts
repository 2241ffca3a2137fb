import { roundHalfCounts } from '#core/breath'
import type { Milliseconds } from '#core/units'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { overLane } from './over-lane.ts'
import { currentEndMs, isCounted, lengthOf, segmentOf } from './run.ts'

/**
 * When counting may come back after it was lost from sight: at the next round's inhale, so that nobody is
 * taken up inside a retention. Now, where nothing is counted.
 */
export function nextInhaleMs(plan: LeadPlan, state: LeadState): Milliseconds {
  const here = segmentOf(plan, state)
  if (here?.doing.kind === 'hold') {
    const lane = overLane(plan, state, state.index, state.startedMs, currentEndMs(state))
    if (!lane) return state.nowMs
    const { num, den } = lane.over.pace
    const roundMs = (roundHalfCounts(lane.over.pattern) * num) / (2 * den)
    return lane.fromMs + Math.floor(Math.ceil((state.nowMs - lane.fromMs) / roundMs) * roundMs)
  }
  if (!here || !isCounted(here) || state.natural) return state.nowMs
  let atMs = currentEndMs(state)
  for (const next of plan.segments.slice(state.index + 1)) {
    const { doing } = next
    if (
      next.blockId !== here.blockId ||
      ((doing.kind === 'breath' || doing.kind === 'movement') && doing.part === 'in')
    )
      break
    atMs += lengthOf(state, next.index)
  }
  return atMs
}
