import { ok, refused } from '#core/result'
import type { Refused, Result } from '#core/result'

/** Why a calculation of the formula book, or a figure, has no value [formula book 3–5]. */
export type CalculationCode =
  | 'AFTER_ROLL'
  | 'BOLSTER_TOO_SHORT'
  | 'FOLD_TOO_THICK'
  | 'NOT_FINITE'
  | 'NO_STACK'
  | 'OUT_OF_RANGE'
  | 'RAISE_SEAT'
  | 'TOO_STEEP'
  | 'UNKNOWN_MATERIAL'
  | 'UNKNOWN_OP'
  | 'UNREACHABLE'
  | 'USE_CHAIR'

/** What a calculation of the formula book gives. */
export type Calculated<T> = Result<T, CalculationCode>

export const calculated = <T>(value: T, warnings: readonly (string | false)[] = []): Calculated<T> =>
  ok(
    value,
    warnings.filter((warning) => warning !== false),
  )

/** An input with the range it has to lie in, both ends included; no range where any finite number will do. */
export type Checked = readonly [field: string, value: unknown, from?: number, to?: number]

/** Adult statures the proportions hold for, in cm [formula book 4]. */
export const statureRange = [120, 220] as const

/** The first input that is no finite number, else the first outside its range; undefined when all will do. */
export function amiss(inputs: readonly Checked[]): Refused<CalculationCode> | undefined {
  const notFinite = inputs.find(([, value]) => typeof value !== 'number' || !Number.isFinite(value))
  if (notFinite) return refused('NOT_FINITE', notFinite[0])
  const outside = inputs.find(
    ([, value, from = -Infinity, to = Infinity]) => Number(value) < from || Number(value) > to,
  )
  return outside && refused('OUT_OF_RANGE', outside[0])
}
