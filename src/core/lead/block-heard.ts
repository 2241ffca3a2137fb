import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { beginLead } from './step.ts'

/** One block of breath work by itself, to be heard from a section on. */
export interface HeardBlock {
  readonly plan: LeadPlan
  readonly state: LeadState
}

/** The plan of one block by itself, and the state in which its section `section` (from 0) begins at time 0. */
export function blockHeard(whole: LeadPlan, blockId: string, section: number): HeardBlock {
  const first = whole.segments.findIndex((segment) => isHeard(segment, blockId))
  const segments = whole.segments
    .filter((segment) => isHeard(segment, blockId))
    .map((segment, index) => ({ ...segment, index }))
  const plan: LeadPlan = {
    ...whole,
    segments,
    cues: whole.cues
      .filter(({ segment }) => segment >= first && segment < first + segments.length)
      .map((cue) => ({ ...cue, segment: cue.segment - first })),
    totalMs: segments.reduce((sum, { lengthMs }) => sum + lengthMs, 0),
    over: {},
  }
  const from = segments.findIndex(({ doing }) => doing.kind === 'breath' && doing.section === section)
  return { plan, state: { ...beginLead(plan), index: Math.max(0, from) } }
}

/** The breath itself and the changes of seat in it: nobody waits for the set-up to hear it. */
const isHeard = (segment: LeadPlan['segments'][number], blockId: string): boolean =>
  segment.blockId === blockId && (segment.doing.kind === 'breath' || segment.doing.kind === 'change')
