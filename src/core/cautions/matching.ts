import type { CautionBook, CautionRule, CautionSubject } from '#model/caution'
import type { Flag } from './flags.ts'

export interface Match {
  readonly rule: CautionRule
  /** The conditions of the person that the rule speaks of. */
  readonly by: readonly string[]
  readonly flags: readonly Flag[]
}

/** Every rule that speaks of one of the subjects, in the book's order. */
export const rulesOn = (subjects: ReadonlySet<CautionSubject>, book: CautionBook): CautionRule[] =>
  book.rules.filter((rule) => rule.of.some((subject) => subjects.has(subject)))

/** Every rule that holds for somebody with these flags, whatever they do. A `!` wants the severe form. */
export function holdingFor(flags: readonly Flag[], book: CautionBook): Match[] {
  if (flags.length === 0) return []
  const spoken = spokenOf(book)
  return book.rules.flatMap((rule, at) => {
    const of = flags.filter(({ id, severe }) => {
      const wants = spoken[at]?.get(id)
      return wants === 'any' || (wants === 'severe' && severe)
    })
    return of.length === 0 ? [] : [{ rule, by: of.map(({ id }) => id), flags: of }]
  })
}

/** The conditions each rule speaks of, in any form or in the severe one alone, groups opened. */
type Spoken = readonly ReadonlyMap<string, 'any' | 'severe'>[]
const read = new WeakMap<CautionBook, Spoken>()

/** A pure reading of a book, done once for each. */
function spokenOf(book: CautionBook): Spoken {
  const known = read.get(book) ?? book.rules.map((rule) => conditionsOf(rule, book))
  read.set(book, known)
  return known
}

function conditionsOf(rule: CautionRule, book: CautionBook): ReadonlyMap<string, 'any' | 'severe'> {
  const conditions = new Map<string, 'any' | 'severe'>()
  for (const entry of rule.conditions) {
    const wantsSevere = entry.endsWith('!')
    const name = wantsSevere ? entry.slice(0, -1) : entry
    for (const id of [name, ...(book.groups[name] ?? [])])
      if (!wantsSevere || !conditions.has(id)) conditions.set(id, wantsSevere ? 'severe' : 'any')
  }
  return conditions
}
