import type { CautionGrade, CautionRule } from '#model/caution'
import { cautionGradeOrder } from '#core/cautions'
import { sayCaution, sayConditions } from '#library/cautions/say'

export const gradeNames: Readonly<Record<CautionGrade, string>> = { avoid: 'Avoid', modify: 'Modify', care: 'Care' }

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** A rule as a teacher reads it: for whom, what to do instead, why, and how well founded. */
export interface CautionLine {
  readonly id: string
  readonly who: string
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
    who: capital(sayConditions(rule.conditions).join('; ')),
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
    return [{ grade, who: [...new Set(of.flatMap((rule) => sayConditions(rule.conditions)))], lines: of.map(lineOf) }]
  })
}
