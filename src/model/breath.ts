import { z } from 'zod'
import { breathLimits } from './limits.ts'
import { told } from './refusal.ts'

/** One part of a round in half-counts: 8 is four counts. */
const halfCountsSchema = z.int().min(0).max(128)

/** A round in half-counts: inhale, retention full, exhale, retention empty. */
export const patternSchema = z.strictObject({
  in: halfCountsSchema.min(1),
  full: halfCountsSchema,
  out: halfCountsSchema.min(1),
  empty: halfCountsSchema,
})
export type Pattern = z.infer<typeof patternSchema>

/** Length of one count in milliseconds as a fraction, so that odd paces never add up an error. */
export const paceSchema = z
  .strictObject({ num: z.int().min(1).max(1_000_000), den: z.int().min(1).max(10_000) })
  .refine((pace) => pace.num >= 250 * pace.den && pace.num <= 10_000 * pace.den, told('PACE_RANGE', {}))
export type Pace = z.infer<typeof paceSchema>

export const roundsSchema = z.int().min(1).max(breathLimits.rounds)
