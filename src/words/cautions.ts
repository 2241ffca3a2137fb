import type { CautionGrade, CautionRule } from '#model/caution'
import { cautionGradeOrder } from '#core/cautions'
import { capital } from './text.ts'
import { sayCaution, sayConditions, sayShort } from './conditions.ts'

export const gradeNames: Readonly<Record<CautionGrade, string>> = { avoid: 'Avoid', modify: 'Modify', care: 'Care' }

/** A rule as a teacher reads it: for whom, what to do instead, why, and how well founded. */
export interface CautionLine {
  readonly id: string
  /** In a word or two each, and by their full names. */
  readonly who: string
  readonly whoInFull: string
  readonly instead: string
  readonly why: string
  readonly marks: string
}

export interface GradeLines {
  readonly grade: CautionGrade
  /** Everyone the grade speaks of, each once. */
  readonly who: readonly string[]
  readonly lines: readonly CautionLine[]
}

const founded = { A: 'well founded', B: 'agreed among teachers', C: 'teaching custom' } as const

function lineOf(rule: CautionRule): CautionLine {
  const marks = [
    founded[rule.evidence],
    ...(rule.differs ? ['sources differ'] : []),
    ...(rule.needsConsent ? ['only with their clinician’s consent'] : []),
  ]
  return {
    id: rule.id,
    who: capital(sayShort(rule.conditions).join(', ')),
    whoInFull: capital(sayConditions(rule.conditions).join('; ')),
    instead: capital(sayCaution(rule.instead)),
    why: sayCaution(rule.why),
    marks: marks.join(', '),
  }
}

/** Rules grade by grade, worst first; a grade nobody is named in is left out. */
export function gradeLines(rules: readonly CautionRule[]): GradeLines[] {
  return cautionGradeOrder.flatMap((grade) => {
    const of = rules.filter((rule) => rule.grade === grade)
    if (of.length === 0) return []
    return [{ grade, who: shortest(of.flatMap((rule) => sayShort(rule.conditions))), lines: of.map(lineOf) }]
  })
}

/** Each once; the severe form is left out where the plain one is named too. */
function shortest(who: readonly string[]): string[] {
  const named = new Set(who)
  return [...named].filter((one) => !one.startsWith('severe ') || !named.has(one.slice('severe '.length)))
}
