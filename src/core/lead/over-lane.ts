import { roundsThatFit } from '#core/breath'
import type { Milliseconds } from '#core/units'
import type { LeadOver, LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { lengthOf, sameHold } from './run.ts'

export interface OverLane {
  readonly over: LeadOver
  /** When its first round begins. */
  readonly fromMs: Milliseconds
  /** Whole rounds that the hold still takes. */
  readonly rounds: number
}

/**
 * The counted breath over the hold side that begins with segment `index`, which runs `[startMs, endMs)`;
 * after a pause it begins anew with whole rounds. Undefined where there is none, or the teacher chose
 * natural breath.
 */
export function overLane(
  plan: LeadPlan,
  state: LeadState,
  index: number,
  startMs: Milliseconds,
  endMs: Milliseconds,
): OverLane | undefined {
  const segment = plan.segments[index]
  const over = segment && plan.over[segment.blockId]
  if (segment?.doing.kind !== 'hold' || !over || state.freely.includes(segment.blockId)) return undefined
  const isCurrent = index === state.index
  if (segment.doing.phase.index > 0 && !(isCurrent && state.overFromMs !== null)) return undefined
  const fromMs = isCurrent && state.overFromMs !== null ? state.overFromMs : startMs
  let holdEndMs = endMs
  for (const next of plan.segments.slice(index + 1)) {
    if (!sameHold(segment, next)) break
    holdEndMs += lengthOf(state, next.index)
  }
  const most = Math.max(0, roundsThatFit(Math.max(0, holdEndMs - fromMs), over.pattern, over.pace))
  return { over, fromMs, rounds: Math.min(over.rounds ?? most, most) }
}
