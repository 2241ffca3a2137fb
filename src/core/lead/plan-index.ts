import { grouped } from '#core/units'
import type { LeadCue, LeadPlan, LeadSegment } from './lead-plan.ts'

/** What is looked up in a plan at every step, so that a long one is not walked through each time. */
interface PlanIndex {
  /** The cues of each segment, in their order. */
  readonly cues: ReadonlyMap<number, readonly LeadCue[]>
  /** The second side's segments of each hold that has one, by block. */
  readonly seconds: ReadonlyMap<string, readonly LeadSegment[]>
}

const made = new WeakMap<LeadPlan, PlanIndex>()
const none: readonly never[] = []

function indexOf(plan: LeadPlan): PlanIndex {
  const before = made.get(plan)
  if (before) return before
  const seconds = plan.segments.filter(({ mirrors }) => mirrors !== undefined)
  const index: PlanIndex = {
    cues: grouped(plan.cues, ({ segment }) => segment),
    seconds: grouped(seconds, ({ blockId }) => blockId),
  }
  made.set(plan, index)
  return index
}

export const cuesOf = (plan: LeadPlan, segment: number): readonly LeadCue[] => indexOf(plan).cues.get(segment) ?? none

/** The second side's segments of a hold, each with the first side's that it mirrors. */
export const secondsOf = (plan: LeadPlan, blockId: string): readonly LeadSegment[] =>
  indexOf(plan).seconds.get(blockId) ?? none
