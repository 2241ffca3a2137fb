/** The keys of a record in their order, as its type has them. */
export const keysOf = <K extends string>(record: Readonly<Partial<Record<K, unknown>>>): K[] =>
  Object.keys(record) as K[]

/** A record with each of its values made another. */
export function mapRecord<K extends string, A, B>(
  record: Readonly<Record<K, A>>,
  map: (value: A, key: K) => B,
): Record<K, B> {
  return Object.fromEntries(keysOf(record).map((key) => [key, map(record[key], key)])) as Record<K, B>
}

/** Things that belong together by a key, each group in the order of the things, the groups in that of their first. */
export function grouped<T, K>(things: readonly T[], keyOf: (thing: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const thing of things) {
    const key = keyOf(thing)
    const group = groups.get(key)
    if (group) group.push(thing)
    else groups.set(key, [thing])
  }
  return groups
}
