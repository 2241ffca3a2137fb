import { z } from 'zod'
import { idSchema, lineSchema } from './common.ts'
import { voiceLimits } from './limits.ts'
import { soundTypeSchema } from './sound.ts'

const said = {
  /** The words that are heard, as the class says them: wherever it says them they are heard. */
  text: lineSchema.trim().min(1),
  lengthMs: z.int().min(1).max(voiceLimits.ms),
}

/** A sentence of a session in the teacher's voice, without what is heard of it. */
export const voiceSchema = z.strictObject({
  id: idSchema,
  ...said,
  type: soundTypeSchema,
  bytes: z.int().min(1).max(voiceLimits.bytes),
})
export type Voice = z.infer<typeof voiceSchema>

/** What is said of a recording that is brought; what it takes is counted when it is there. */
export const voiceBroughtSchema = z.strictObject({ ...said, lengthMs: z.coerce.number().pipe(said.lengthMs) })

/** Words whose recordings are looked for in other sessions. */
export const textsWantedSchema = z.strictObject({ texts: z.array(said.text).max(1000) })

/** A recording as a file of a session carries it. */
export const voiceCarriedSchema = z.strictObject({
  /** The session it is of. */
  sessionId: idSchema,
  ...said,
  type: soundTypeSchema,
  heard: z
    .base64()
    .min(4)
    .max(Math.ceil(voiceLimits.bytes / 3) * 4),
})
export type VoiceCarried = z.infer<typeof voiceCarriedSchema>
