import { z } from 'zod'
import { paceSchema, roundsSchema } from './breath.ts'
import { basePositionSchema, betweenSecondsSchema, idSchema, lineSchema } from './common.ts'
import { namesSchema } from './names.ts'

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
  sides: z.strictObject({ left: lineSchema, right: lineSchema }).optional(),
  parts: z.array(movementPartSchema).min(2).max(8),
  pace: paceSchema,
  rounds: roundsSchema,
  setUpS: betweenSecondsSchema,
  betweenSidesS: betweenSecondsSchema,
  restS: betweenSecondsSchema,
  comingOut: z.array(lineSchema).min(1),
})
export type Movement = z.infer<typeof movementSchema>
