import { z } from 'zod'
import { betweenSecondsSchema, idSchema, lineSchema } from './common.ts'
import { told } from './refusal.ts'

export const soundSchema = z.strictObject({
  kind: z.enum(['bowl', 'wood', 'lowBell']),
  strokes: z.int().min(1).max(9),
})
export type Sound = z.infer<typeof soundSchema>

/** When a cue stands in its phase: seconds from its start, a share of it, or seconds before its end. */
export const momentSchema = z.union([
  z.strictObject({ fromStartS: betweenSecondsSchema }),
  z.strictObject({ share: z.number().min(0).lt(1) }),
  z.strictObject({ beforeEndS: z.int().min(1).max(3600) }),
])
export type Moment = z.infer<typeof momentSchema>

/** A cue's text may hold the tokens `{this}` and `{other}` for the side being held and the other one. */
export const cueSchema = z
  .strictObject({
    id: idSchema,
    phaseId: idSchema.optional(),
    at: momentSchema,
    text: lineSchema.optional(),
    sound: soundSchema.optional(),
  })
  .refine((cue) => cue.text !== undefined || cue.sound !== undefined, told('CUE_EMPTY', {}))
export type Cue = z.infer<typeof cueSchema>
