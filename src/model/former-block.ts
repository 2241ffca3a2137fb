import { z } from 'zod'
import {
  breathBlockSchema,
  closingBlockSchema,
  holdBlockSchema,
  movementBlockSchema,
  restBlockSchema,
  talkBlockSchema,
} from './block.ts'
import { paceSchema, patternSchema } from './breath.ts'
import { basePositionSchema, betweenSecondsSchema, idSchema } from './common.ts'
import { breathLimits } from './limits.ts'
import { usualAmountSchema } from './technique.ts'

/** Breath work of schema 1: one pattern, with natural breath before and after. */
export const formerBreathBlockSchema = breathBlockSchema
  .omit({ sections: true, setUpId: true, setUpItems: true, setUpWords: true })
  .extend({
    techniqueId: idSchema,
    basePosition: basePositionSchema.optional(),
    pattern: patternSchema.optional(),
    pace: paceSchema.optional(),
    amount: usualAmountSchema.optional(),
    restBetweenSetsS: betweenSecondsSchema.optional(),
    naturalBeforeS: betweenSecondsSchema.optional(),
    naturalAfterS: betweenSecondsSchema.optional(),
    countedRounds: z.int().min(0).max(breathLimits.rounds).optional(),
  })
export type FormerBreathBlock = z.infer<typeof formerBreathBlockSchema>

/** A block of schema 1. */
export const formerBlockSchema = z.discriminatedUnion('kind', [
  talkBlockSchema,
  holdBlockSchema,
  movementBlockSchema,
  formerBreathBlockSchema,
  restBlockSchema,
  closingBlockSchema,
])
export type FormerBlock = z.infer<typeof formerBlockSchema>
