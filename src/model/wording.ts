import { z } from 'zod'

/** How the words are chosen that no setting removes: each in one of three wordings. */
export const wordingSchemas = {
  stillness: z.enum(['move', 'change', 'always']),
  roll: z.enum(['roll', 'turn', 'over']),
  stop: z.enum(['signs', 'comeOut', 'tell']),
} as const

export const wordingSchema = z.strictObject(wordingSchemas)
export type Wording = z.infer<typeof wordingSchema>
export const someWordingSchema = wordingSchema.partial()
export type SomeWording = z.infer<typeof someWordingSchema>
