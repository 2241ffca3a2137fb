export type Facts = Readonly<Record<string, string | number | boolean>>

export interface Refused {
  readonly ok: false
  readonly code: string
  /** The field or place it is about, as in `blocks[3].poseId`. */
  readonly path: string
  readonly facts: Facts
}

/** A normal operation's outcome: a value, or why not. Wording is made elsewhere; misuse throws instead. */
export type Result<T> = { readonly ok: true; readonly value: T } | Refused

export const ok = <T>(value: T): Result<T> => ({ ok: true, value })

export const refused = (code: string, path: string, facts: Facts = {}): Refused => ({
  ok: false,
  code,
  path,
  facts,
})

export const mapResult = <A, B>(result: Result<A>, change: (value: A) => B): Result<B> =>
  result.ok ? ok(change(result.value)) : result

/** The value, where a refusal would be a mistake of the program. Throws naming code and path. */
export function orThrow<T>(result: Result<T>): T {
  if (result.ok) return result.value
  throw new RangeError(`${result.code} at ${result.path} ${JSON.stringify(result.facts)}`)
}
