import type { Milliseconds } from '#core/units'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { currentEndMs, enter } from './run.ts'
import { cueInstants } from './sounds-due.ts'

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
    if (toMs < endMs) return ringUntil(plan, now, toMs)
    now = ringUntil(plan, now, endMs)
    const next = now.natural ? now.index : now.index + 1
    now = enter(plan, now, next, endMs)
    if (next >= plan.segments.length) return { ...now, phase: 'ended' }
  }
}

/** Notes the cues of the current segment that stand between the last look and this one. */
function ringUntil(plan: LeadPlan, state: LeadState, toMs: Milliseconds): LeadState {
  const rung = { ...state.rung }
  let changed = false
  for (const { key, atMs } of cueInstants(plan, state)) {
    if (atMs < state.nowMs || atMs >= toMs) continue
    rung[key] = atMs
    changed = true
  }
  if (changed) return { ...state, nowMs: toMs, rung }
  return toMs === state.nowMs ? state : { ...state, nowMs: toMs }
}
