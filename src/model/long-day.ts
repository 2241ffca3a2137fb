import { z } from 'zod'
import { daySchema, hourSchema, idSchema, nameSchema } from './common.ts'
import { breakLimits, mostParts } from './limits.ts'
import { told } from './refusal.ts'

/** The schema this build reads and writes. */
export const longDaySchemaVersion = 1

const ofPart = {
  id: idSchema,
  /** When it is to begin; absent: when what comes before it is over. */
  startsAt: hourSchema.optional(),
}

export const meals = ['snack', 'meal'] as const

/** A session, led in the day by its own plan; or a break between two of them. */
export const partSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...ofPart, kind: z.literal('session'), sessionId: idSchema }),
  z.strictObject({
    ...ofPart,
    kind: z.literal('break'),
    name: nameSchema,
    s: z.int().min(breakLimits.leastS).max(breakLimits.mostS),
    /** What is eaten in it; absent: nothing. */
    eaten: z.enum(meals).optional(),
  }),
])
export type Part = z.infer<typeof partSchema>
export type SessionPart = Extract<Part, { kind: 'session' }>
export type BreakPart = Extract<Part, { kind: 'break' }>

/** Several sessions of one day with breaks between them: three hours with tea, a day of retreat. */
export const longDaySchema = z
  .strictObject({
    schema: z.literal(longDaySchemaVersion),
    id: idSchema,
    name: nameSchema,
    /** Absent: no day was set yet. */
    day: daySchema.optional(),
    /** When its first part begins. */
    startsAt: hourSchema,
    placeId: idSchema.optional(),
    roomId: idSchema.optional(),
    people: z.array(idSchema).max(200),
    guests: z.int().min(0).max(500),
    parts: z.array(partSchema).max(mostParts),
  })
  .superRefine(({ parts }, context) => {
    parts.forEach(({ id }, at) => {
      const first = parts.findIndex((part) => part.id === id)
      if (first < at) context.addIssue({ code: 'custom', path: ['parts', at, 'id'], ...told('ID_TWICE', { first }) })
    })
  })
export type LongDay = z.infer<typeof longDaySchema>

/** A long day as it is kept: with the version that guards its writes. */
export interface KeptLongDay {
  readonly longDay: LongDay
  readonly version: number
}
