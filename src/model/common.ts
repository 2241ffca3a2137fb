import { z } from 'zod'
import { told } from './refusal.ts'
import { betweenLimits, blockLimits, holdLimits, lengthLimitsMm, sessionLimits, textLimits } from './limits.ts'
import type { SecondsRange } from './limits.ts'

/** Ids are made by nanoid, or are readable words for what ships with the application. */
export const idSchema = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,64}$/)
  // A table looked up by such an id would answer with what every object has.
  .refine((id) => !(id in Object.prototype), told('ID_RESERVED', {}))

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

const secondsIn = ({ leastS, mostS }: SecondsRange) => z.int().min(leastS).max(mostS)

export const holdSecondsSchema = secondsIn(holdLimits)
export const betweenSecondsSchema = secondsIn(betweenLimits)
export const blockSecondsSchema = secondsIn(blockLimits)
export const sessionSecondsSchema = secondsIn(sessionLimits)

export const lengthMmSchema = z.int().min(lengthLimitsMm.least).max(lengthLimitsMm.most)

export const nameSchema = z.string().trim().min(1).max(textLimits.name)
export const lineSchema = z.string().max(textLimits.line)
export const textSchema = z.string().max(textLimits.text)
export const instantSchema = z.iso.datetime({ offset: true })
export const daySchema = z.iso.date()
/** Hours and minutes of a day, 24-hour clock. */
export const hourSchema = z.iso.time({ precision: -1 })
