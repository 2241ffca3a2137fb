import { z } from 'zod'
import { idSchema, instantSchema } from './common.ts'

/** What an inhale or an exhale may sound with: nothing, wood at its turn or at every count, a bowl, a gliding tone. */
export const breathSoundKinds = ['none', 'turn', 'counts', 'bowl', 'tone'] as const
const breathSoundSchema = z.strictObject({
  kind: z.enum(breathSoundKinds),
  /** In hundredths; 50 is as loud as a breath sounds where nothing is set. */
  loudness: z.int().min(0).max(100),
})
export type BreathSound = z.infer<typeof breathSoundSchema>

const breathSoundsSchema = z.strictObject({ in: breathSoundSchema, out: breathSoundSchema })
export type BreathSounds = z.infer<typeof breathSoundsSchema>

/** What a bell may sound with: a bowl, a low bell, a tone that is held and so passes a call, or nothing; and what a tick. */
export const bellKinds = ['bowl', 'lowBell', 'heldTone', 'none'] as const
export const tickKinds = ['wood', 'tap', 'none'] as const
/** `own`: the teacher's own sound of that id; where it is gone, the bell itself. */
const bellSchema = z.strictObject({
  kind: z.enum([...bellKinds, 'own']),
  loudness: z.int().min(0).max(100),
  soundId: idSchema.optional(),
})
const tickSchema = z.strictObject({ kind: z.enum(tickKinds), loudness: z.int().min(0).max(100) })

/** What the sounds of a class are heard as, by what they are for: holds, breath work, counts. */
const classSoundsSchema = z.strictObject({ bowl: bellSchema, lowBell: bellSchema, wood: tickSchema })
export type ClassSounds = z.infer<typeof classSoundsSchema>

const musicSchema = z.strictObject({ soundId: idSchema, loudness: z.int().min(0).max(100) })
export type Music = z.infer<typeof musicSchema>

/** A figure that stands in place of what was learned, and since when records count. */
const timeSaidSchema = z.strictObject({
  setS: z.int().min(0).max(3600).optional(),
  forgottenAt: instantSchema.optional(),
})
export type TimeSaid = z.infer<typeof timeSaidSchema>

/**
 * What a teacher set for all their sessions; no session stores any of it [settled A23]. What is absent is as Zovrin has
 * it.
 */
export const settingsSchema = z.strictObject({
  schema: z.literal(1),
  breathSounds: breathSoundsSchema.optional(),
  classSounds: classSoundsSchema.optional(),
  /** A track that plays through a class until its last rest; absent: none. */
  music: musicSchema.optional(),
  /** Words a minute, spoken. */
  speakingPace: z.int().min(60).max(200).optional(),
  /** Whether single letters act as commands. */
  letterKeys: z.boolean().optional(),
  /** From how many seconds on it is told in Lead that a class is behind; 0: never; absent: as is usual. */
  behindFromS: z.int().min(0).max(3600).optional(),
  /** Whether the students’ screen shows a clock; absent: it does. */
  screenClock: z.boolean().optional(),
  /** Whether the sixth stage of breath work is offered. */
  sixthStage: z.boolean().optional(),
  /** What the teacher said of times that classes teach, by what they are of and the level. */
  times: z.record(z.string().min(1).max(200), timeSaidSchema).optional(),
})
export type Settings = z.infer<typeof settingsSchema>
