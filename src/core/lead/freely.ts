import type { Milliseconds } from '#core/units'
import { roundsKept } from './done-over.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { blockEnd, currentEndMs, enter, isCounted, isTrailing, lengthOf, segmentOf } from './run.ts'

/** Breathe freely: where breath is counted, counts stop at once. */
export function freely(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  const here = segmentOf(plan, state)
  if (!here || isTrailing(plan, state) || state.freely.includes(here.blockId)) return state
  return here.doing.kind === 'hold' || isCounted(here) ? leaveFree(plan, state, atMs, 0) : state
}

/**
 * Natural breath from here to where the block would have ended, at least so long; over both sides of a movement. A hold
 * goes on without the breath over it, and what is not breathed goes on as it is.
 */
export function leaveFree(plan: LeadPlan, state: LeadState, atMs: Milliseconds, leastMs: Milliseconds): LeadState {
  if (isTrailing(plan, state)) return lengthened(state, atMs, leastMs)
  const going = goingOn(state, atMs)
  const here = segmentOf(plan, going)
  if (!here) return state
  const freed = {
    ...state,
    freely: state.freely.includes(here.blockId) ? state.freely : [...state.freely, here.blockId],
  }
  if (here.doing.kind === 'hold')
    return plan.over[here.blockId] ? { ...freed, overRounds: roundsKept(plan, state, atMs).overRounds } : state
  if (here.doing.kind !== 'breath' && !isCounted(here)) return state
  const to = blockEnd(plan, going.index)
  let leftMs = Math.max(0, currentEndMs(going) - atMs)
  if (going.natural) leftMs += lengthOf(going, going.index) - going.skippedMs
  for (let index = going.index + 1; index < to; index += 1) leftMs += lengthOf(going, index)
  const cut = enter(plan, going, to, atMs)
  const natural = { blockId: here.blockId, lengthMs: Math.max(leftMs, leastMs) }
  return { ...cut, freely: freed.freely, natural }
}

/** Natural breath needs no going on: a pause in it is over. */
const goingOn = (state: LeadState, atMs: Milliseconds): LeadState =>
  state.pause
    ? { ...state, pause: null, pauses: [...state.pauses, { fromMs: state.pause.sinceMs, toMs: atMs }] }
    : state

function lengthened(state: LeadState, atMs: Milliseconds, leastMs: Milliseconds): LeadState {
  const { natural } = state
  const moreMs = atMs + leastMs - currentEndMs(state)
  return natural && moreMs > 0 ? { ...state, natural: { ...natural, lengthMs: natural.lengthMs + moreMs } } : state
}
