import type { Milliseconds } from '#core/units'
import { leaveFree } from './freely.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { nextInhaleMs } from './next-inhale.ts'
import { planNow } from './plan-now.ts'
import { segmentNow } from './run.ts'

/** Natural breath after a stop sign, past the block if need be [breath book 5]. */
export const stoppedForMs = 180_000

/**
 * A stop sign: natural breath at once, for three minutes at least and to the end of the block; nothing that is counted,
 * held or stroked later is led so until the teacher counts again. Where no breath work is or was just now, nothing
 * changes.
 */
export function stopSign(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  if (!isBreathWork(plan, state) && !wasBreathWork(plan, state, atMs)) return state
  const freed = leaveFree(plan, state, atMs, stoppedForMs)
  return { ...freed, counting: 'none', stoppedMs: atMs }
}

function isBreathWork(plan: LeadPlan, state: LeadState): boolean {
  const here = segmentNow(plan, state)
  if (!here) return false
  return isBreathed(plan, here.index) || (here.doing.kind === 'movement' && here.doing.part === 'counted')
}

const isBreathed = (plan: LeadPlan, index: number): boolean => {
  const segment = plan.segments[index]
  return segment?.doing.kind === 'breath' || (segment?.doing.kind === 'hold' && segment.blockId in plan.over)
}

/** Whether breath work was led so shortly before that its signs may show only now. */
const wasBreathWork = (plan: LeadPlan, { visits }: LeadState, atMs: Milliseconds): boolean =>
  visits.some(({ segment, endMs }) => endMs > atMs - stoppedForMs && (segment === null || isBreathed(plan, segment)))

/** Whether counting may come back now; what holds the breath and what is stroked stays natural breath today. */
export const mayCountAgain = ({ counting, stoppedMs }: LeadState, atMs: Milliseconds): boolean =>
  counting === 'none' && atMs >= (stoppedMs ?? 0) + stoppedForMs

/** Counting comes back from the next round on. */
export function countAgain(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  if (!mayCountAgain(state, atMs)) return state
  const again: LeadState = { ...state, counting: 'plain' }
  return { ...again, quietUntilMs: nextInhaleMs(planNow(plan, again), again) }
}
