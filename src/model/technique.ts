import { z } from 'zod'
import { breathAmountSchema } from './block.ts'
import { paceSchema, patternSchema } from './breath.ts'
import { basePositionSchema, betweenSecondsSchema, idSchema, lineSchema } from './common.ts'
import { namesSchema } from './names.ts'

/** A way of breathing; `cautionId` is its entry in the cautions reference (3.1). */
export const techniqueSchema = z.strictObject({
  id: idSchema,
  cautionId: z.string().regex(/^br_[a-z_]+$/),
  names: namesSchema,
  counted: z.boolean(),
  strong: z.boolean(),
  purpose: lineSchema,
  how: z.array(lineSchema).min(1),
  preparation: z.array(lineSchema),
  stopSigns: z.array(lineSchema).min(1),
  /** Hours since a meal. */
  foodGapH: z.int().min(0).max(8),
  nose: z.enum(['any', 'clear', 'bothClear']),
  basePosition: basePositionSchema,
  setUpS: betweenSecondsSchema,
  pattern: patternSchema.optional(),
  pace: paceSchema,
  amount: breathAmountSchema,
  restBetweenSetsS: betweenSecondsSchema,
  countedRounds: z.int().min(0).max(500),
})
export type Technique = z.infer<typeof techniqueSchema>
