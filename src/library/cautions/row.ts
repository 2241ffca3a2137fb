import type { CautionRule, CautionSubject } from '#model/caution'
import { wants } from './wants.ts'

/**
 * One row as the reference writes it: subjects and conditions apart by a space, the evidence mark with
 * `d` where sources differ and `+` where a clinician's consent is needed; then the cap of the form it gives.
 */
export function row(
  id: string,
  of: string,
  grade: CautionRule['grade'],
  conditions: string,
  why: string,
  instead: string,
  mark: string,
  capS?: number,
): CautionRule {
  return {
    id,
    of: of.split(' ') as CautionSubject[],
    grade,
    conditions: conditions.split(' '),
    why,
    instead,
    evidence: mark.charAt(0) as CautionRule['evidence'],
    differs: mark.includes('d'),
    needsConsent: mark.includes('+'),
    ...(capS === undefined ? {} : { capS }),
    wants: [...(wants[id] ?? [])],
  }
}
