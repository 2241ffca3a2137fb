import MiniSearch from 'minisearch'
import { foldMarks } from '#core/units'

interface Named {
  readonly id: string
  readonly name: string
  readonly sanskrit: string | undefined
  readonly others: readonly string[]
}

/** A word of more than three letters may be mistyped: one slip, two in long words. */
const slips = (term: string): number | boolean => (term.length > 3 ? 0.25 : false)

/**
 * A search over all names, with and without diacritics. What matches by its beginning is found first;
 * only where nothing does, letters anywhere in a word; only then what is a slip of the fingers away.
 */
export function makeFinder<T extends Named>(entries: readonly T[]): (wanted: string) => readonly T[] {
  const byId = new Map(entries.map((entry) => [entry.id, entry]))
  const folded = new Map(
    entries.map((entry) => [entry.id, foldMarks([entry.name, entry.sanskrit ?? '', ...entry.others].join(' '))]),
  )
  const index = new MiniSearch<Named>({
    fields: ['name', 'sanskrit', 'others'],
    processTerm: foldMarks,
    extractField: (entry, field) => {
      const value = entry[field as keyof Named]
      return typeof value === 'object' ? value.join(' ') : (value ?? '')
    },
    searchOptions: { combineWith: 'AND', prefix: true, boost: { name: 4, sanskrit: 2 } },
  })
  index.addAll(entries)
  const inOrder = (ids: readonly string[]): T[] => ids.flatMap((id) => byId.get(id) ?? [])
  return (wanted) => {
    if (wanted.trim() === '') return entries
    const begun = index.search(wanted)
    if (begun.length > 0) return inOrder(begun.map(({ id }) => String(id)))
    const words = foldMarks(wanted)
      .split(/\s+/)
      .filter((word) => word !== '')
    const held = entries.filter(({ id }) => words.every((word) => folded.get(id)?.includes(word)))
    return held.length > 0 ? held : inOrder(index.search(wanted, { fuzzy: slips }).map(({ id }) => String(id)))
  }
}
