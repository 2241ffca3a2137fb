import type { Milliseconds } from '#core/units'
import { advance } from './advance.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadEvent, LeadState } from './lead-state.ts'
import { planNow } from './plan-now.ts'
import { beginLead, step } from './step.ts'

/** The state that a log of events leads to, at an instant: what a reload comes back to. */
export function fold(plan: LeadPlan, log: readonly LeadEvent[], atMs: Milliseconds): LeadState {
  const state = log.reduce((before, event) => step(plan, before, event)[0], beginLead(plan))
  return advance(planNow(plan, state), state, atMs)
}
