import type { Choice } from './choices.ts'
import type { Taking } from './who-takes-what.ts'

// Plan's first look asks this of everybody: it stands apart from how the forms are worked out, which comes later.

/** Whether somebody does it with no more than attention: nothing of it has to be changed for them. */
export const isFree = ({ verdict: { grade, gateForm } }: Pick<Choice, 'verdict'>): boolean =>
  (grade === undefined || grade === 'care') && gateForm === undefined

/** A person who simply does a block: nothing to change, nothing to choose, within their stage, as long as all. */
export const isAsPlanned = ({ does, planned, shorter }: Taking): boolean =>
  does?.takes.kind === 'asItStands' && isFree(planned) && !planned.pastStage && shorter.length === 0
