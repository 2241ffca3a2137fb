import { z } from 'zod'
import { paceSchema, roundsSchema } from './breath.ts'
import { basePositionSchema, betweenSecondsSchema, idSchema, lineSchema } from './common.ts'
import { familySchema } from './family.ts'
import { namesSchema } from './names.ts'
import { directionSchema, targetSchema } from './pose.ts'

/** `stay` keeps the position with the breath free; `retention` holds the breath too. */
export const movementPartSchema = z.strictObject({
  part: z.enum(['in', 'out', 'stay', 'retention']),
  halfCounts: z.int().min(1).max(128),
  does: lineSchema,
})

export const movementSchema = z.strictObject({
  id: idSchema,
  names: namesSchema,
  base: z.strictObject({ enter: basePositionSchema, leave: basePositionSchema }),
  /** Where else it is done just as well: people who are there stay. */
  alsoIn: z.array(basePositionSchema).max(4).optional(),
  sides: z.strictObject({ left: lineSchema, right: lineSchema }).optional(),
  parts: z.array(movementPartSchema).min(2).max(8),
  purpose: lineSchema.min(1),
  families: z.array(familySchema).min(1).max(6),
  targets: z.array(targetSchema).min(1),
  directions: z.array(directionSchema).min(1),
  mistakes: z.array(lineSchema.min(1)).min(1).max(8),
  looksFor: z.array(lineSchema.min(1)).min(1).max(8),
  pace: paceSchema,
  rounds: roundsSchema,
  setUpS: betweenSecondsSchema,
  betweenSidesS: betweenSecondsSchema,
  restS: betweenSecondsSchema,
  comingOut: z.array(lineSchema).min(1),
})
export type Movement = z.infer<typeof movementSchema>
