import { z } from 'zod'
import { daySchema, idSchema, levelSchema, lineSchema, nameSchema } from './common.ts'
import { stageSchema } from './session.ts'

export const conditionSchema = z.strictObject({
  id: idSchema,
  severe: z.enum(['no', 'yes', 'unsure']),
  side: z.enum(['left', 'right', 'both']).optional(),
  askedOn: daySchema,
  clearance: z.strictObject({ by: nameSchema, on: daySchema, limits: lineSchema.optional() }).optional(),
})

const measureSchema = z.int().min(50).max(2500)

/** Nothing about a person lapses by date: an old `askedOn` only asks again. */
export const personSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  level: levelSchema,
  /** The stage of the breath ladder; absent: 2. */
  breathStage: stageSchema.optional(),
  statureMm: z.int().min(1200).max(2200).optional(),
  /** Measured lengths in integer millimetres that override those from stature. */
  measures: z
    .strictObject({
      legToHeel: measureSchema.optional(),
      sitting: measureSchema.optional(),
      popliteal: measureSchema.optional(),
      kneeH0: measureSchema.optional(),
    })
    .optional(),
  conditions: z.array(conditionSchema).max(40),
  consents: z.array(z.strictObject({ for: idSchema, by: nameSchema, on: daySchema })).max(100),
})
export type Person = z.infer<typeof personSchema>
