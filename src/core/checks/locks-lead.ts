import type { FindingCode } from './facts.ts'
import type { AnyNoticed } from './set-ups.ts'

/** The musts of breath work: with one of these a class is not led as planned, and none is set aside [breath book 5]. */
const breathMusts: ReadonlySet<string> = new Set<FindingCode>([
  'HOLD_PAST_STAGE',
  'HOLD_UNASKED',
  'STROKES_PAST_STAGE',
  'LOCKS_TOO_SHORT',
  'STROKES_TOO_MANY',
  'LOCK_WITHOUT_HOLD',
  'RAPID_THEN_HOLD',
  'STRONG_LYING',
  'STRONG_NOT_IN_PERSON',
])

/** Whether a finding keeps a class from being led as planned. */
export const locksLead = ({ code, grade }: Pick<AnyNoticed, 'code' | 'grade'>): boolean =>
  grade === 'must' && breathMusts.has(code)
