import type { Milliseconds } from '#core/units'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { currentEndMs, enter } from './run.ts'
import { cueInstants, mayRing } from './sounds-due.ts'

/**
 * Lets the class's time run to an instant: every segment that ends on the way is left at its own end, not
 * at the look, so a late tick loses nothing. Time never runs backwards.
 */
export function advance(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  const toMs = Math.max(state.nowMs, atMs)
  if (state.phase === 'ended') return state
  if (state.pause) return toMs === state.nowMs ? state : { ...state, nowMs: toMs }
  let now: LeadState = state
  for (;;) {
    const endMs = currentEndMs(now)
    if (now.waits || toMs < endMs) return ringUntil(plan, now, toMs)
    now = ringUntil(plan, now, endMs)
    const next = now.natural ? now.index : now.index + 1
    now = enter(plan, now, next, endMs)
    if (next >= plan.segments.length) return { ...now, phase: 'ended' }
  }
}

/** Notes the cues of the current segment that stand between the last look and this one. */
function ringUntil(plan: LeadPlan, state: LeadState, toMs: Milliseconds): LeadState {
  if (toMs === state.nowMs) return state
  const came = [...cueInstants(plan, state)].filter(({ atMs }) => atMs >= state.nowMs && atMs < toMs)
  if (came.length === 0) return { ...state, nowMs: toMs }
  const bells = came.filter(({ key, atMs, cue }) => cue.sound !== undefined && mayRing(state.rung[key], atMs)).length
  const rung = { ...state.rung, ...Object.fromEntries(came.map(({ key, atMs }) => [key, atMs])) }
  return { ...state, nowMs: toMs, rung, bells: state.bells + bells }
}
