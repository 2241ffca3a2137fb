import type { Milliseconds } from '#core/units'
import { beforeHold } from './lead-plan.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { heldMs } from './sides.ts'

/** The segment that waits, of those that stand before the same hold side as this one; undefined where none does. */
export function waitsFrom(plan: LeadPlan, index: number): number | undefined {
  const from = plan.segments[index]
  for (let at = index; from !== undefined; at += 1) {
    const segment = plan.segments[at]
    if (!segment || segment.blockId !== from.blockId || !beforeHold.has(segment.doing.kind)) return undefined
    if (segment.waits) return at
  }
  return undefined
}

/** How long people have been coming into a hold that begins when all are settled, and how long was planned for it. */
export interface Settling {
  readonly forMs: Milliseconds
  readonly plannedMs: Milliseconds
}

export function settling(plan: LeadPlan, state: LeadState): Settling | undefined {
  const to = waitsFrom(plan, state.index)
  if (to === undefined || state.natural) return undefined
  let from = state.index
  const here = plan.segments[state.index]
  for (let at = from - 1; at >= 0; at -= 1) {
    const before = plan.segments[at]
    if (!before || before.blockId !== here?.blockId || !beforeHold.has(before.doing.kind)) break
    from = at
  }
  const group = plan.segments.slice(from, to + 1)
  const doneMs = group.reduce((sum, { index }) => (index < state.index ? sum + heldMs(state, index) : sum), 0)
  return {
    forMs: doneMs + state.nowMs - state.startedMs,
    plannedMs: group.reduce((sum, { lengthMs }) => sum + lengthMs, 0),
  }
}
