import MiniSearch from 'minisearch'
import { foldMarks } from '#core/units'

interface Named {
  readonly id: string
  readonly name: string
  readonly sanskrit: string | undefined
  readonly others: readonly string[]
  /** Where it is felt and what it does, in words: found after all names. */
  readonly felt?: readonly string[]
  /** Planned with care alone: found after all that is called alike and is not. */
  readonly isRare?: boolean
}

/** A word of more than three letters may be mistyped: one slip, two in words of eight letters and more. */
const slips = (term: string): number | boolean => (term.length < 4 ? false : term.length < 8 ? 1 : 2)

/** What is said with a name and tells nothing. */
const saidAlong: ReadonlySet<string> = new Set(['pose', 'poses', 'posture', 'asana', 'the', 'a'])
/** As it sounds, without diacritics: "sphinx" and "sfinx" are one. */
const asHeard = (term: string): string => foldMarks(term).replaceAll('ph', 'f')
const wordsOf = (text: string): string[] =>
  asHeard(text)
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '')

/**
 * A search over all names, with and without diacritics, then over where a thing is felt. What matches by its beginning is
 * found first; only where nothing does, letters anywhere in a name, written as one word too; only then what is a slip
 * of the fingers away.
 */
export function makeFinder<T extends Named>(entries: readonly T[]): (wanted: string) => readonly T[] {
  const byId = new Map(entries.map((entry) => [entry.id, entry]))
  const folded = new Map(
    entries.map((entry) => {
      const names = [entry.name, entry.sanskrit ?? '', ...entry.others].map((name) => wordsOf(name))
      return [entry.id, names.map((words) => `${words.join(' ')} ${words.join('')}`).join(' ')]
    }),
  )
  const index = new MiniSearch<Named>({
    fields: ['name', 'sanskrit', 'others', 'felt'],
    processTerm: asHeard,
    extractField: (entry, field) => {
      const value = entry[field as keyof Named]
      return typeof value === 'object' ? value.join(' ') : (value ?? '')
    },
    searchOptions: {
      combineWith: 'AND',
      prefix: true,
      boost: { name: 4, sanskrit: 2, felt: 0.1 },
      boostDocument: (id) => (byId.get(String(id))?.isRare ? 0.2 : 1),
    },
  })
  index.addAll(entries)
  const inOrder = (ids: readonly string[]): T[] => ids.flatMap((id) => byId.get(id) ?? [])
  return (wanted) => {
    const all = wordsOf(wanted)
    if (all.length === 0) return entries
    const telling = all.filter((word) => !saidAlong.has(word))
    const words = telling.length > 0 ? telling : all
    const query = words.join(' ')
    const begun = index.search(query)
    if (begun.length > 0) return inOrder(begun.map(({ id }) => String(id)))
    const held = entries.filter(({ id }) => words.every((word) => folded.get(id)?.includes(word)))
    return held.length > 0
      ? held
      : inOrder(
          index.search(query, { fuzzy: slips, fields: ['name', 'sanskrit', 'others'] }).map(({ id }) => String(id)),
        )
  }
}
