import { refused } from './result.ts'
import type { Refused } from './result.ts'

/** An input with the range it has to lie in, both ends included; no range where any finite number will do. */
export type Checked = readonly [field: string, value: unknown, from?: number, to?: number]

/** The first input that is no finite number, else the first outside its range; undefined when all will do. */
export function amiss(inputs: readonly Checked[]): Refused<'NOT_FINITE' | 'OUT_OF_RANGE'> | undefined {
  const notFinite = inputs.find(([, value]) => typeof value !== 'number' || !Number.isFinite(value))
  if (notFinite) return refused('NOT_FINITE', notFinite[0])
  const outside = inputs.find(
    ([, value, from = -Infinity, to = Infinity]) => Number(value) < from || Number(value) > to,
  )
  return outside && refused('OUT_OF_RANGE', outside[0])
}
