/** Fields to set; one that is `undefined` is unset, so that the usual holds again. */
export type FieldsOf<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** A document or a part of one with fields set or unset; a record that is set to nothing says nothing and goes too. */
export function withFields<T extends object>(thing: T, fields: FieldsOf<T>): T {
  const kept = Object.entries({ ...thing, ...fields }).filter(
    ([name, value]) => value !== undefined && !(name in fields && isBare(value)),
  )
  return Object.fromEntries(kept) as T
}

const isBare = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && !Array.isArray(value) && Object.keys(value).length === 0
