import { z } from 'zod'
import { idSchema, lengthMmSchema, nameSchema } from './common.ts'
import { propKindSchema } from './prop.ts'

export const cupboardItemSchema = z.strictObject({
  id: idSchema,
  kind: propKindSchema,
  count: z.int().min(0).max(1000),
  sizeMm: z
    .strictObject({
      length: lengthMmSchema.optional(),
      width: lengthMmSchema.optional(),
      height: lengthMmSchema.optional(),
    })
    .optional(),
})

export const placeSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  lengthUnit: z.enum(['cm', 'in']),
  rooms: z
    .array(
      z.strictObject({
        id: idSchema,
        name: nameSchema,
        lengthMm: lengthMmSchema,
        widthMm: lengthMmSchema,
        walls: z.array(z.strictObject({ id: idSchema, name: nameSchema, freeMm: lengthMmSchema })).max(20),
      }),
    )
    .min(1)
    .max(20),
  cupboard: z.array(cupboardItemSchema).max(100),
})
export type Place = z.infer<typeof placeSchema>
