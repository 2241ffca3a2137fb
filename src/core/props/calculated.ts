/** What a calculation of the formula book gives: a value with warnings that never block, or why there is none. */
export type Calculated<T> =
  | { readonly ok: true; readonly value: T; readonly warnings: readonly string[] }
  | {
      readonly ok: false
      readonly code: string
      readonly field: string
      readonly extra?: Readonly<Record<string, unknown>>
    }

export type NotCalculated = Extract<Calculated<never>, { ok: false }>

export const calculated = <T>(value: T, warnings: readonly (string | false)[] = []): Calculated<T> => ({
  ok: true,
  value,
  warnings: warnings.filter((warning) => warning !== false),
})

export const failed = (code: string, field: string, extra?: Readonly<Record<string, unknown>>): NotCalculated => ({
  ok: false,
  code,
  field,
  ...(extra ? { extra } : {}),
})

/** An input with the range it has to lie in, both ends included; no range where any finite number will do. */
export type Checked = readonly [field: string, value: unknown, from?: number, to?: number]

/** Adult statures the proportions hold for, in cm [formula book 4]. */
export const statureRange = [120, 220] as const

/** The first input that is no finite number, else the first outside its range; undefined when all will do. */
export function amiss(inputs: readonly Checked[]): NotCalculated | undefined {
  const notFinite = inputs.find(([, value]) => typeof value !== 'number' || !Number.isFinite(value))
  if (notFinite) return failed('NOT_FINITE', notFinite[0])
  const outside = inputs.find(
    ([, value, from = -Infinity, to = Infinity]) => Number(value) < from || Number(value) > to,
  )
  return outside && failed('OUT_OF_RANGE', outside[0])
}
