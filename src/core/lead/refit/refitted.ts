import type { Refit } from '#model/led-class'
import type { Milliseconds } from '#core/units'
import type { LeadPlan } from '../lead-plan.ts'
import type { LeadState } from '../lead-state.ts'
import { blockEnd, isTrailing } from '../run.ts'

/** The first segment of what has not begun: a block is begun when its change begins [settled B19]. */
export const firstAhead = (plan: LeadPlan, state: LeadState): number =>
  isTrailing(plan, state) ? state.index : blockEnd(plan, state.index)

/** A class with what was worked out for the rest of it; what has begun keeps its times, whatever was told. */
export function refitted(plan: LeadPlan, state: LeadState, { lengths, leaves, saidEndMs }: Refit): LeadState {
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
export function asPlanned(plan: LeadPlan, state: LeadState): LeadState {
  const from = firstAhead(plan, state)
  const planned = (all: readonly Milliseconds[]) =>
    all.map((ms, index) => (index < from ? ms : (plan.segments[index]?.lengthMs ?? ms)))
  const isAhead = new Set(plan.segments.slice(from).map(({ blockId }) => blockId))
  const leaves = state.leaves.filter((id) => !isAhead.has(id))
  const isSame =
    state.saidEndMs === null &&
    leaves.length === state.leaves.length &&
    state.lengths.every((ms, index) => index < from || ms === plan.segments[index]?.lengthMs)
  if (isSame) return state
  return { ...state, set: planned(state.set), lengths: planned(state.lengths), leaves, saidEndMs: null }
}

/** Whether anything is led otherwise than planned because it was re-fitted, or another end was said. */
export const isRefitted = (plan: LeadPlan, { set, leaves, saidEndMs }: LeadState): boolean =>
  leaves.length > 0 || saidEndMs !== null || set.some((ms, index) => ms !== plan.segments[index]?.lengthMs)
