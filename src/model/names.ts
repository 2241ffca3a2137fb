import { z } from 'zod'
import { nameSchema } from './common.ts'

/** English name, Sanskrit in IAST where one is in general use, and the common other names. */
export const namesSchema = z.strictObject({
  english: nameSchema,
  sanskrit: nameSchema.optional(),
  others: z.array(nameSchema).max(12),
})
export type Names = z.infer<typeof namesSchema>
