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
