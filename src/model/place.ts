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
  /** Where a session is held that names no place; of all places at most one. */
  usual: z.literal(true).optional(),
  /** How many people can stand at the cupboard at once; 3 unless set. */
  atCupboard: z.int().min(1).max(50).optional(),
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
export type Room = Place['rooms'][number]
export type CupboardItem = Place['cupboard'][number]

/** A place as it is kept: with the version that guards its writes. */
export interface KeptPlace {
  readonly place: Place
  readonly version: number
}
