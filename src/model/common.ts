import { z } from 'zod'

/** Ids are made by nanoid, or are readable words for what ships with the application. */
export const idSchema = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/)

export const sides = ['left', 'right'] as const
/** The student's own left or right, never the teacher's mirror image. */
export const sideSchema = z.enum(sides)
export type Side = z.infer<typeof sideSchema>

export const practices = ['restorative', 'yin', 'breath', 'mixed'] as const
export const practiceSchema = z.enum(practices)
export type Practice = z.infer<typeof practiceSchema>

export const levels = ['new', 'regular', 'experienced'] as const
export const levelSchema = z.enum(levels)
export type Level = z.infer<typeof levelSchema>

export const basePositions = [
  'standing',
  'kneeling',
  'allFours',
  'prone',
  'supine',
  'sideLying',
  'seated',
  'onChair',
  'atWall',
] as const
export const basePositionSchema = z.enum(basePositions)
export type BasePosition = z.infer<typeof basePositionSchema>

/** Longest length a session may be given, in seconds (4 h). */
export const longestSessionS = 14_400
/** A hold lasts 5 s to 60 min. */
export const holdSecondsSchema = z.int().min(5).max(3600)
/** Any time between holds; 0 leaves it out. */
export const betweenSecondsSchema = z.int().min(0).max(1800)
/** The length of a block that is not a hold, in whole seconds. */
export const blockSecondsSchema = z.int().min(5).max(7200)
/** The length a session is meant to fill: 5 min to 4 h. */
export const sessionSecondsSchema = z.int().min(300).max(longestSessionS)

export const lengthMmSchema = z.int().min(1).max(100_000)

export const nameSchema = z.string().trim().min(1).max(120)
export const lineSchema = z.string().max(300)
export const textSchema = z.string().max(20_000)
export const instantSchema = z.iso.datetime({ offset: true })
export const daySchema = z.iso.date()
