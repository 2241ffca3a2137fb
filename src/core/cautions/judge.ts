import type { CautionBook, CautionGrade, CautionRule, CautionSubject } from '#model/caution'
import { cautionGradeOrder } from './grade-order.ts'
import { gateOf } from './flags.ts'
import type { Flag, Gated } from './flags.ts'
import { holdingFor } from './matching.ts'
import type { Match } from './matching.ts'
import { isOfProp, subjectsOf } from './practised.ts'
import type { BodyForm, Practised } from './practised.ts'

export interface Reason {
  readonly rule: CautionRule
  readonly by: readonly string[]
  /** The rule's grade, or what a consent made of it. */
  readonly grade: CautionGrade
  readonly consent: 'not needed' | 'missing' | 'noted'
}

export interface Verdict {
  /** The strictest grade; absent means that no usual caution is listed, never that nothing can happen. */
  readonly grade: CautionGrade | undefined
  readonly gated: Gated
  /** Until clearance: outside the quiet forms that the gate allows. */
  readonly behindGate: boolean
  /** With a new ache nobody has looked at: more is felt in it than 2 of 10. */
  readonly tooFelt: boolean
  /** A quiet form the gate allows, but only inclined or on a chair. */
  readonly gateForm: 'inclined' | 'on a chair' | undefined
  /** Worst first, then in the order of the reference. */
  readonly reasons: readonly Reason[]
  /**
   * What is said of the props in use: to leave one out, or how else. They set neither grade nor cap nor what to do
   * instead.
   */
  readonly props: readonly Reason[]
}

/** Practices (families or techniques) for which a person's clinician has consented. */
export type Consents = ReadonlySet<string>
export const noConsents: Consents = new Set()

/**
 * What the cautions say of a practice for somebody: the strictest grade of all matching rows wins and
 * every reason is kept; the gate wins over every row, but gate-allowed forms still obey their own rows.
 * A noted consent softens `avoid` to `modify`; a row that needs consent is `avoid` until it is noted.
 */
export const judge = (
  practised: Practised,
  flags: readonly Flag[],
  book: CautionBook,
  consents: Consents = noConsents,
  notToday: readonly string[] = [],
): Verdict => judgeFor(practised, subjectsOf(practised, book), asJudged(flags, book, consents, notToday))

/** A rule that holds for somebody, with its place in the book. */
interface Placed {
  readonly match: Match
  readonly at: number
}

/** Somebody as the rules see them, worked out once for all that they are to do. */
export interface Judged {
  readonly flags: readonly Flag[]
  /** The rules that hold for them, by what they speak of, each list in the order of the book. */
  readonly matches: ReadonlyMap<CautionSubject, readonly Placed[]>
  readonly hasNewAche: boolean
  readonly gated: Gated
  readonly consents: Consents
  readonly book: CautionBook
}
export const asJudged = (
  flags: readonly Flag[],
  book: CautionBook,
  consents: Consents = noConsents,
  notToday: readonly string[] = [],
): Judged => ({
  flags,
  matches: bySubject(holdingFor(flags, book)),
  hasNewAche: flags.some(({ newAche }) => newAche),
  gated: gateOf(flags, book, notToday),
  consents,
  book,
})

function bySubject(matches: readonly Match[]): Judged['matches'] {
  const by = new Map<CautionSubject, Placed[]>()
  matches.forEach((match, at) => {
    for (const subject of match.rule.of) {
      const some = by.get(subject)
      if (some) some.push({ match, at })
      else by.set(subject, [{ match, at }])
    }
  })
  return by
}

/** The rules that speak of any of the subjects, each once, in the order of the book. */
function matchesOn(subjects: ReadonlySet<CautionSubject>, matches: Judged['matches']): readonly Match[] {
  const found: Placed[] = []
  for (const subject of subjects) for (const placed of matches.get(subject) ?? []) found.push(placed)
  if (found.length > 1) found.sort((a, b) => a.at - b.at)
  const each: Match[] = []
  let last = -1
  for (const { match, at } of found) {
    if (at !== last) each.push(match)
    last = at
  }
  return each
}

/** `judge` with its parts worked out before: the subjects of the practice, and the person. */
export function judgeFor(
  practised: Practised,
  subjects: ReadonlySet<CautionSubject>,
  { hasNewAche, matches, gated, consents, book }: Judged,
): Verdict {
  const [reasons, props]: [Reason[], Reason[]] = [[], []]
  for (const match of matchesOn(subjects, matches)) {
    const reason = reasonOf(match, practised, isConsented(match.rule, practised, consents, book))
    if (isOfProp(match.rule)) props.push(reason)
    else reasons.push(reason)
  }
  reasons.sort(worstFirst)
  const gateForm = gated.gate === 'clear' ? allowedForm(practised) : undefined
  const behindGate = gated.gate === 'stop' || (gated.gate === 'clear' && gateForm === undefined)
  const tooFelt = hasNewAche && practised.form?.carried === false
  const fromGate = behindGate ? 'avoid' : gateForm === 'inclined' || gateForm === 'on a chair' ? 'modify' : undefined
  return {
    grade: strictest([fromGate, tooFelt ? 'avoid' : undefined, reasons[0]?.grade]),
    gated,
    behindGate,
    tooFelt,
    gateForm: gateForm === 'as it is' ? undefined : gateForm,
    reasons,
    props: props.sort(worstFirst),
  }
}

const worstFirst = (a: Reason, b: Reason): number =>
  cautionGradeOrder.indexOf(a.grade) - cautionGradeOrder.indexOf(b.grade)

export function strictest(grades: readonly (CautionGrade | undefined)[]): CautionGrade | undefined {
  return cautionGradeOrder.find((grade) => grades.includes(grade))
}

const speaksOf = ({ of }: CautionRule, subjects: ReadonlySet<CautionSubject>): boolean =>
  of.some((subject) => subjects.has(subject))

/**
 * A consent names one practice: a family, a breath or a prop. It softens a row only where every practice
 * that the row speaks of here has one [cautions 0: who, when, which practice].
 */
function isConsented(
  rule: CautionRule,
  { families, breaths = [], props = [] }: Practised,
  consents: Consents,
  book: CautionBook,
): boolean {
  if (consents.size === 0) return false
  const each: readonly (readonly [string, Practised])[] = [
    ...families.map((family) => [family, { families: [family] }] as const),
    ...breaths.map((breath) => [breath, { families: [], breaths: [breath] }] as const),
    ...props.map((prop) => [prop, { families: [], props: [prop] }] as const),
  ]
  const meant = each.filter(([, practised]) => speaksOf(rule, subjectsOf(practised, book)))
  return meant.length > 0 && meant.every(([practice]) => consents.has(practice))
}

function reasonOf({ rule, by, flags }: Match, { form }: Practised, consented: boolean): Reason {
  const isSoftened = form !== undefined && rule.grade === 'avoid' && flags.every((flag) => softens(form, flag))
  const grade = isSoftened ? 'modify' : rule.grade
  if (!rule.needsConsent && !(consented && grade === 'avoid')) return { rule, by, grade, consent: 'not needed' }
  if (!consented) return { rule, by, grade: 'avoid', consent: 'missing' }
  return { rule, by, grade: grade === 'avoid' ? 'modify' : grade, consent: 'noted' }
}

/** Whether "do not offer" becomes "in this form" because the form is carried or hinged [cautions 0]. */
const softens = ({ carried, hinged }: BodyForm, { id, severe }: Flag): boolean =>
  (carried && id === 'ate_recently') || (hinged && id === 'osteoporosis' && !severe)

/** What is allowed until clearance: rest on the side, inclined rest, a seat on a chair, with natural breath. */
function allowedForm({ families, breaths = [] }: Practised): 'as it is' | 'inclined' | 'on a chair' | undefined {
  if (breaths.some((breath) => breath !== 'br_natural')) return undefined
  const [family, ...more] = families
  if (more.length > 0) return undefined
  if (family === 'side_rest' || family === undefined) return 'as it is'
  if (family === 'sup_rest') return 'inclined'
  return family === 'seat' ? 'on a chair' : undefined
}
