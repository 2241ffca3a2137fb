/**
 * Whether two documents say the same: their fields in any order, a field that is undefined as one that is not there.
 * For plain data only.
 */
export function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) || Array.isArray(b)) {
    return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((one, at) => isSame(one, b[at]))
  }
  const [mine, theirs] = [definedEntries(a), new Map(definedEntries(b))]
  return (
    mine.length === theirs.size && mine.every(([name, value]) => theirs.has(name) && isSame(value, theirs.get(name)))
  )
}

const definedEntries = (value: object): [string, unknown][] =>
  Object.entries(value).filter(([, field]) => field !== undefined)

/** One text for all documents that say the same, to be looked up by. For plain data only. */
export const sortedText = (value: unknown): string =>
  JSON.stringify(value, (_key, field: unknown) =>
    typeof field === 'object' && field !== null && !Array.isArray(field)
      ? Object.fromEntries(definedEntries(field).toSorted(([a], [b]) => (a < b ? -1 : 1)))
      : field,
  )
