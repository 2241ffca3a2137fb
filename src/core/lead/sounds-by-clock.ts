import type { BreathSounds } from '#model/settings'
import type { LeadPlan } from './lead-plan.ts'
import { soundsDue } from './sounds-due.ts'
import type { DueSound } from './sounds-due.ts'
import { beginLead } from './step.ts'

/** Every sound of a class that nobody leads, from its first instant to its last: each hold begins by the clock. */
export function soundsByClock(planned: LeadPlan, sounds?: BreathSounds): DueSound[] {
  const plan = { ...planned, segments: planned.segments.map(({ waits: _, ...segment }) => segment) }
  return soundsDue(plan, beginLead(plan), sounds)
}
