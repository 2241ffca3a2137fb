import type { Refit } from '#model/led-class'
import type { Milliseconds } from '#core/units'
import type { LeadPlan } from '../lead-plan.ts'
import type { LeadState } from '../lead-state.ts'
import { orderedPlan, reordered, wholePlan } from '../order.ts'
import type { Order } from '../order.ts'

import { blockEnd, isTrailing } from '../run.ts'

/** The first segment of what has not begun: a block is begun when its change begins [settled B19]. */
export const firstAhead = (plan: LeadPlan, state: LeadState): number =>
  isTrailing(plan, state) ? state.index : blockEnd(plan, state.index)

/** A class with what was worked out for the rest of it; what has begun keeps its times, whatever was told. */
export function refitted(before: LeadPlan, then: LeadState, { lengths, leaves, saidEndMs, order }: Refit): LeadState {
  const state = order ? reordered(wholePlan(before), then, order) : then
  const plan = order ? orderedPlan(wholePlan(before), order) : before
  const from = firstAhead(plan, state)
  const now = new Map(lengths.map(({ segment, ms }) => [segment, ms]))
  const next = (all: readonly Milliseconds[]) => all.map((ms, index) => (index < from ? ms : (now.get(index) ?? ms)))
  const isAhead = new Set(plan.segments.slice(from).map(({ blockId }) => blockId))
  return {
    ...state,
    set: next(state.set),
    lengths: next(state.lengths),
    leaves: [...state.leaves.filter((id) => !isAhead.has(id)), ...leaves.filter((id) => isAhead.has(id))],
    saidEndMs: saidEndMs ?? state.saidEndMs,
  }
}

/** All that has not begun as it was planned again, and the end as it was promised. */
export function asPlanned(before: LeadPlan, then: LeadState): LeadState {
  const whole = wholePlan(before)
  const order = orderAsPlanned(before, then)
  const state = order === then.order ? then : reordered(whole, then, order)
  const plan = order === then.order ? before : orderedPlan(whole, order)
  const from = firstAhead(plan, state)
  const planned = (all: readonly Milliseconds[]) =>
    all.map((ms, index) => (index < from ? ms : (plan.segments[index]?.lengthMs ?? ms)))
  const isAhead = new Set(plan.segments.slice(from).map(({ blockId }) => blockId))
  const leaves = state.leaves.filter((id) => !isAhead.has(id))
  const isSame =
    state === then &&
    state.saidEndMs === null &&
    leaves.length === state.leaves.length &&
    state.lengths.every((ms, index) => index < from || ms === plan.segments[index]?.lengthMs)
  if (isSame) return state
  return { ...state, set: planned(state.set), lengths: planned(state.lengths), leaves, saidEndMs: null }
}

/** The order with what has not begun as it was planned; null where that is all as planned. */
function orderAsPlanned(plan: LeadPlan, state: LeadState): Order {
  const { order } = state
  if (order === null) return null
  const firstAt = plan.segments[firstAhead(plan, state)]?.blockIndex ?? order.length
  const next = [...order.slice(0, firstAt), ...order.slice(firstAt).toSorted((a, b) => a - b)]
  return next.every((blockIndex, at) => blockIndex === at) ? null : next
}

/** Whether anything is led otherwise than planned because it was re-fitted, or another end was said. */
export function isRefitted(made: LeadPlan, { set, leaves, order, saidEndMs }: LeadState): boolean {
  const plan = orderedPlan(wholePlan(made), order)
  const isOther = leaves.length > 0 || order !== null || saidEndMs !== null
  return isOther || set.some((ms, index) => ms !== plan.segments[index]?.lengthMs)
}
