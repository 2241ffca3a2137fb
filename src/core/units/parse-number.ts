import { ok, refused } from '#core/result'
import type { Result } from '#core/result'

/** Between which numbers a field takes one, and how fine. */
export interface NumberLimits {
  readonly least: number
  readonly most: number
  /** What is typed comes to the nearest multiple of this; whole numbers where absent. */
  readonly grain?: number
}

/**
 * A number as it is typed, with a point or a comma before its decimals: `4`, `3.5`, `3,5`. Refused: `NUMBER_EMPTY`,
 * `NOT_A_NUMBER`, `NUMBER_RANGE` with the limits; nothing is bent to fit them.
 */
export function parseNumber(text: string, { least, most, grain = 1 }: NumberLimits, field = ''): Result<number> {
  const typed = text.trim()
  if (typed === '') return refused('NUMBER_EMPTY', field)
  if (!/^\d*[.,]?\d+$/.test(typed)) return refused('NOT_A_NUMBER', field, { typed })
  const value = Number(typed.replace(',', '.'))
  if (value < least || value > most) return refused('NUMBER_RANGE', field, { typed, least, most })
  return ok(toGrain(value, grain))
}

/** The nearest multiple, without what binary fractions leave behind. */
const toGrain = (value: number, grain: number): number => Number((Math.round(value / grain) * grain).toFixed(6))

/** A step up or down from a number to the next multiple of a step, within the limits. */
export function steppedNumber(value: number, by: number, { least, most, grain = 1 }: NumberLimits): number {
  const step = Math.abs(by)
  const next = by > 0 ? (Math.floor(value / step + 1e-9) + 1) * step : (Math.ceil(value / step - 1e-9) - 1) * step
  return Math.min(most, Math.max(least, toGrain(next, grain)))
}
