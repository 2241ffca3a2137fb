import type { CautionGrade, CautionProp, CautionRule } from '#model/caution'
import { cautionGradeOrder } from '#core/cautions'
import { cautionPropNames } from './families.ts'
import { capital, lower } from './text.ts'
import { sayCaution, sayConditions, sayShort, severely } from './conditions.ts'

/** What stands before the conditions of a grade. */
export const gradeLeads: Readonly<Record<CautionGrade, string>> = {
  avoid: 'Leave out for',
  modify: 'Change for',
  care: 'Take care with',
}

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
  /** Everyone the grade speaks of whom no stricter one does. */
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
  const named = new Set<string>()
  return cautionGradeOrder.flatMap((grade) => {
    const of = rules.filter((rule) => rule.grade === grade)
    if (of.length === 0) return []
    const here = new Set(of.flatMap((rule) => sayShort(rule.conditions)))
    // Each condition stands once, at its strictest; with the plain one the severe one is named too.
    const who = [...here].filter((one) => !named.has(one) && !isSevereOf(one, here) && !isSevereOf(one, named))
    here.forEach((one) => named.add(one))
    return [{ grade, who, lines: of.map(lineOf) }]
  })
}

/** A caution of a prop: what is said of it, apart from the practice. */
export interface PropCautionLine extends CautionLine {
  /** As in “A weight on the eyes: leave out for”. */
  readonly lead: string
}

export const propCautionLines = (rules: readonly CautionRule[]): PropCautionLine[] =>
  rules.map((rule) => {
    const props = rule.of.map((of) => cautionPropNames[of as CautionProp])
    return {
      ...lineOf(rule),
      lead: `${capital(props.join(', '))}: ${lower(gradeLeads[rule.grade])}`,
      // They stand in the middle of the line here.
      whoInFull: sayConditions(rule.conditions).join('; '),
    }
  })

const isSevereOf = (one: string, named: ReadonlySet<string>): boolean =>
  one.endsWith(severely) && named.has(one.slice(0, -severely.length))
