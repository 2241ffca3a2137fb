import type { CautionBook } from '#model/caution'
import type { Family } from '#model/family'
import type { Flag } from './flags.ts'
import { asJudged, judgeFor } from './judge.ts'
import type { Consents, Judged, Verdict } from './judge.ts'
import { remembered } from './remembered.ts'
import { lineOf, subjectsOf } from './practised.ts'
import type { Practised } from './practised.ts'

export interface Alternative {
  readonly family: Family
  readonly verdict: Verdict
}

export interface Alternatives {
  /** Each checked against every flag; none of them is to be avoided. */
  readonly offered: readonly Alternative[]
  /** Nothing listed can be offered: ask a professional. */
  readonly askProfessional: boolean
}

const nothingElse: Alternatives = { offered: [], askProfessional: false }

/** What is left when no named alternative holds: these two are tried in turn. */
const lastResorts: readonly Family[] = ['side_rest', 'seat']

/**
 * What to do instead: the nearest to what was planned first, then in the order in which the reasons name it. A
 * suggestion is never a pass: each is judged against all flags, so that where two changes pull apart only what both allow is
 * left. Where nothing named is left: rest on the side, a seat on a chair, else nothing.
 */
export function alternativesTo(
  verdict: Verdict,
  practised: Practised,
  flags: readonly Flag[],
  book: CautionBook,
  consents?: Consents,
  notToday?: readonly string[],
): Alternatives {
  const judged = asJudged(flags, book, consents, notToday)
  return alternativesFor(verdict, practised, (family) => judgeFamily(family, judged, book), book.inherits)
}

export const judgeFamily = (family: Family, judged: Judged, book: CautionBook): Verdict => {
  const practised = { families: [family] }
  return judgeFor(practised, subjectsOf(practised, book), judged)
}

/** `alternativesTo` with the judging of a family handed in, so that it can be remembered. */
export function alternativesFor(
  verdict: Verdict,
  practised: Practised,
  judgeOne: (family: Family) => Verdict,
  inherits: CautionBook['inherits'],
): Alternatives {
  if (verdict.gated.gate === 'stop') return { offered: [], askProfessional: true }
  if (!verdict.behindGate && (verdict.grade === undefined || verdict.grade === 'care')) return nothingElse
  const named = verdict.reasons.filter(({ grade }) => grade !== 'care').flatMap(({ rule }) => familiesIn(rule.instead))
  const gatedForms: readonly Family[] = verdict.behindGate ? ['side_rest', 'sup_rest', 'seat'] : []
  const wanted = [...new Set([...named, ...gatedForms])]
    .filter((family) => !practised.families.includes(family))
    .toSorted((a, b) => Number(isNear(b, practised, inherits)) - Number(isNear(a, practised, inherits)))
  const allowed = (families: readonly Family[]): Alternative[] =>
    families.map((family) => ({ family, verdict: judgeOne(family) })).filter((one) => one.verdict.grade !== 'avoid')
  const offered = allowed(wanted)
  if (offered.length > 0 || verdict.grade !== 'avoid') return { offered, askProfessional: false }
  const last = allowed(lastResorts.filter((family) => !practised.families.includes(family)))
  return { offered: last, askProfessional: last.length === 0 }
}

/** Whether a family is of the line of one that was planned: what it inherits from, or what inherits from it. */
const isNear = (family: Family, { families }: Practised, inherits: CautionBook['inherits']): boolean =>
  families.some((planned) => lineOf(planned, inherits).includes(family) || lineOf(family, inherits).includes(planned))

/** The families a text of the reference names as `{id}`; breaths are named the same way and are none. */
export const familiesIn = remembered((text): readonly Family[] =>
  [...text.matchAll(/\{([a-z_]+)\}/g)].flatMap(([, id = '']) => (id.startsWith('br_') ? [] : [id as Family])),
)
