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
  return book.rules.flatMap((rule) => {
    const of = flags.filter((flag) => holdsFor(rule, flag, book))
    return of.length === 0 ? [] : [{ rule, by: of.map(({ id }) => id), flags: of }]
  })
}

function holdsFor(rule: CautionRule, { id, severe }: Flag, book: CautionBook): boolean {
  return rule.conditions.some((entry) => {
    const wantsSevere = entry.endsWith('!')
    const name = wantsSevere ? entry.slice(0, -1) : entry
    if (wantsSevere && !severe) return false
    return name === id || (book.groups[name]?.includes(id) ?? false)
  })
}
