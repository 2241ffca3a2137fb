/** What a refusal tells besides its code and field: the numbers of the rule, and what was given. */
export type Extra = Readonly<Record<string, unknown>>

/** Why there is no value. Wording is made elsewhere. */
export interface Refused<Code extends string = string> {
  readonly ok: false
  readonly code: Code
  /** The field or place it is about, as in `blocks[3].poseId`. */
  readonly field: string
  readonly extra?: Extra
}

/** A normal operation's outcome: a value with warnings that never block, or why not; misuse throws instead. */
export type Result<T, Code extends string = string> =
  { readonly ok: true; readonly value: T; readonly warnings: readonly string[] } | Refused<Code>

const none: readonly string[] = []

export const ok = <T>(value: T, warnings: readonly string[] = none): Result<T, never> => ({ ok: true, value, warnings })

export const refused = <Code extends string>(code: Code, field: string, extra?: Extra): Refused<Code> => ({
  ok: false,
  code,
  field,
  ...(extra ? { extra } : {}),
})

export const mapResult = <A, B, Code extends string>(
  result: Result<A, Code>,
  change: (value: A) => B,
): Result<B, Code> => (result.ok ? ok(change(result.value), result.warnings) : result)

/** The value, where a refusal would be a mistake of the program. Throws naming code and field. */
export function orThrow<T>(result: Result<T>): T {
  if (result.ok) return result.value
  throw new RangeError(`${result.code} at ${result.field} ${JSON.stringify(result.extra ?? {})}`)
}
