import { z } from 'zod'
import { idSchema, nameSchema } from './common.ts'
import { soundLimits } from './limits.ts'

/** What an own sound is for: struck as a bell, or played through the class. */
export const soundUses = ['bell', 'music'] as const
export type SoundUse = (typeof soundUses)[number]

/** The kinds of files that are taken: what browsers play, and nothing that could be a page. */
export const soundTypes = [
  'audio/wav',
  'audio/x-wav',
  'audio/mpeg',
  'audio/ogg',
  'audio/opus',
  'audio/flac',
  'audio/x-flac',
  'audio/mp4',
  'audio/x-m4a',
  'audio/aac',
  'audio/webm',
] as const
export const soundTypeSchema = z.enum(soundTypes)

/** A sound of the teacher's own, without what is heard of it. */
export const ownSoundSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  use: z.enum(soundUses),
  type: soundTypeSchema,
  bytes: z.int().min(1).max(soundLimits.bytes),
  lengthMs: z.int().min(1).max(soundLimits.musicMs),
})
export type OwnSound = z.infer<typeof ownSoundSchema>

/** What is said of a sound that is brought in; what it takes is counted when it is there. */
export const soundBroughtSchema = z.strictObject({
  name: nameSchema,
  use: z.enum(soundUses),
  lengthMs: z.coerce.number().int().min(1).max(soundLimits.musicMs),
})
