import { z } from 'zod'
import { betweenSecondsSchema, idSchema, lineSchema, nameSchema } from './common.ts'
import { told } from './refusal.ts'

const sentenceSchema = z.strictObject({
  text: lineSchema.min(1),
  /** Quiet after it; absent: as usual. */
  pauseAfterS: betweenSecondsSchema.optional(),
  /** The part of the script that begins with it, by its name. */
  part: nameSchema.optional(),
})
export type Sentence = z.infer<typeof sentenceSchema>

const said = {
  sentences: z.array(sentenceSchema).min(1).max(200),
  /** The sentence (from 1) after which the long quiet lies; absent: before the last third. */
  quietAfter: z.int().min(1).max(200).optional(),
}
const isQuietInside = ({
  sentences,
  quietAfter = 1,
}: {
  readonly sentences: readonly unknown[]
  readonly quietAfter?: number | undefined
}): boolean => quietAfter <= sentences.length
const quietOutside = () => ({ path: ['quietAfter'], ...told('QUIET_AFTER_END', {}) })

/** Sentences with pauses: a block holds its own copy of what it says [settled A22]. */
export const scriptSchema = z
  .strictObject({
    /** What it was copied from. */
    from: idSchema.optional(),
    ...said,
  })
  .refine(isQuietInside, quietOutside())
export type Script = z.infer<typeof scriptSchema>

/** A script that is kept under a name, or ships: put into a block it is a copy of its own. */
export const namedScriptSchema = z
  .strictObject({ id: idSchema, name: nameSchema, ...said })
  .refine(isQuietInside, quietOutside())
export type NamedScript = z.infer<typeof namedScriptSchema>
