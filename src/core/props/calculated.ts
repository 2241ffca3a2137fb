import { ok } from '#core/result'
import type { Result } from '#core/result'

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

/** Adult statures the proportions hold for, in cm [formula book 4]. */
export const statureRange = [120, 220] as const
