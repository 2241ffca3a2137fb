import { z } from 'zod'
import { instantSchema, levelSchema } from './common.ts'

/** What one part of a led class really took. */
export const seenTimeSchema = z.strictObject({
  /** What it is of, as `learnedKey` of `core/session` has it. */
  key: z.string().min(1).max(200),
  level: levelSchema,
  /** How many were led; 0 where nobody counted. */
  people: z.int().min(0).max(500),
  /** Seconds; of `changeover` hundredths of what was estimated, of `pace` seconds a hundred words. */
  s: z.int().min(0),
  startedAt: instantSchema,
})
export type SeenTime = z.infer<typeof seenTimeSchema>
