import { z } from 'zod'
import { betweenSecondsSchema, idSchema, lineSchema } from './common.ts'
import { told } from './refusal.ts'

/** Sentences with pauses: a block holds its own copy of what it says [settled A22]. */
export const scriptSchema = z
  .strictObject({
    /** What it was copied from. */
    from: idSchema.optional(),
    sentences: z
      .array(z.strictObject({ text: lineSchema.min(1), pauseAfterS: betweenSecondsSchema.optional() }))
      .min(1)
      .max(200),
    /** The sentence (from 1) after which the long quiet lies; absent: before the last third. */
    quietAfter: z.int().min(1).max(200).optional(),
  })
  .refine(({ sentences, quietAfter = 1 }) => quietAfter <= sentences.length, {
    path: ['quietAfter'],
    ...told('QUIET_AFTER_END', {}),
  })
export type Script = z.infer<typeof scriptSchema>
