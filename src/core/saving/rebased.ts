type Fields = Readonly<Record<string, unknown>>

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
/** By which of their fields things of a list are told apart. */
const names = ['id', 'personId', 'blockId', 'poseId', 'variantId', 'kind', 'for'] as const
const keyOf = (item: Fields): string => JSON.stringify(names.map((name) => item[name]))
/** Things that are told apart by what they are of, each there once. */
const isList = (value: unknown): value is readonly Fields[] =>
  Array.isArray(value) &&
  value.every((item) => isFields(item) && names.some((name) => typeof item[name] === 'string')) &&
  new Set(value.map((item) => keyOf(item as Fields))).size === value.length
const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

/**
 * What was changed here, of a document as it stood (`base`), put over what it has become elsewhere: field by field, and in
 * lists of things with ids thing by thing. Where both changed the very same, what was changed here stands: it came last.
 */
export function rebased<T>(base: T, mine: T, theirs: T): T {
  return over(base, mine, theirs) as T
}

function over(base: unknown, mine: unknown, theirs: unknown): unknown {
  if (isSame(base, mine)) return theirs
  if (isSame(base, theirs)) return mine
  if (isList(base) && isList(mine) && isList(theirs)) return listOver(base, mine, theirs)
  if (isFields(base) && isFields(mine) && isFields(theirs)) {
    const all = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])]
    const fields = all.map((name) => [name, over(base[name], mine[name], theirs[name])] as const)
    return Object.fromEntries(fields.filter(([, value]) => value !== undefined))
  }
  return mine
}

/** Their list with what was added, changed and taken away here; what was changed here and taken away there stays. */
function listOver(base: readonly Fields[], mine: readonly Fields[], theirs: readonly Fields[]): readonly Fields[] {
  const byKey = (list: readonly Fields[]) => new Map(list.map((item) => [keyOf(item), item]))
  const [before, here, there] = [byKey(base), byKey(mine), byKey(theirs)]
  const kept = theirs.flatMap((item) => {
    const key = keyOf(item)
    const own = here.get(key)
    if (!own) return before.has(key) ? [] : [item]
    return [over(before.get(key), own, item) as Fields]
  })
  const added = mine.filter((item) => !there.has(keyOf(item)) && !isSame(before.get(keyOf(item)), item))
  return [...kept, ...added]
}
