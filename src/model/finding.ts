import { z } from 'zod'
import { idSchema } from './common.ts'

/** Something that needs a look: *must* cannot be led or stands wrong as planned, then *look*, then *tip*. */
export const findingSchema = z.strictObject({
  grade: z.enum(['must', 'look', 'tip']),
  code: z.string().min(1).max(60),
  place: z.strictObject({ blockId: idSchema.optional(), atMs: z.int().min(0).optional() }),
  facts: z.record(z.string(), z.union([z.string(), z.number(), z.boolean()])),
})
export type Finding = z.infer<typeof findingSchema>
