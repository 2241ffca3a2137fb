import { z } from 'zod'
import { idSchema, instantSchema, lineSchema, nameSchema, textSchema } from './common.ts'
import { sessionSchema } from './session.ts'

export const plannedClassSchema = z.strictObject({
  id: idSchema,
  sessionId: idSchema,
  placeId: idSchema,
  startsAt: instantSchema.optional(),
  peopleIds: z.array(idSchema).max(200),
})
export type PlannedClass = z.infer<typeof plannedClassSchema>

const runMsSchema = z
  .int()
  .min(0)
  .max(48 * 3_600_000)

/** A segment as a led class keeps it, with all that the timeline knew of it. */
export const ledSegmentSchema = z.looseObject({
  index: z.int().min(0),
  blockId: idSchema,
  blockIndex: z.int().min(0),
  side: z.enum(['left', 'right', 'both']).nullable(),
  doing: z.looseObject({ kind: z.string().min(1).max(40) }),
  lengthMs: runMsSchema,
})

/** The compiled plan a class was led from. */
export const ledPlanSchema = z.looseObject({
  segments: z.array(ledSegmentSchema).max(20_000),
  cues: z.array(z.looseObject({ id: z.string(), segment: z.int().min(0) })).max(20_000),
  totalMs: runMsSchema,
})

export const logEventSchema = z.strictObject({ type: z.string().min(1).max(40), atMs: runMsSchema })

/** What a block was called and said on the day, whatever the shelf says later. */
export const ledBlockSchema = z.strictObject({
  name: nameSchema,
  sides: z.strictObject({ left: lineSchema, right: lineSchema }).optional(),
})

/** A class as it was led: its own full copy, which later edits of the session never change. */
export const ledClassSchema = z.strictObject({
  id: idSchema,
  sessionId: idSchema,
  placeId: idSchema.optional(),
  startedAt: instantSchema,
  endedAt: instantSchema.optional(),
  /** Class time until which it was seen to run, while it has no end. */
  conductedMs: runMsSchema.optional(),
  /** When the class was promised to end; a re-fit never moves it. */
  promisedEnd: instantSchema,
  people: z.int().min(0).max(500),
  document: sessionSchema,
  resolved: z.record(idSchema, ledBlockSchema),
  plan: ledPlanSchema,
  log: z.array(logEventSchema).max(20_000),
  note: textSchema.optional(),
})
export type LedClass = z.infer<typeof ledClassSchema>

/** A line of the journal. */
export interface LedClassLine {
  readonly id: string
  readonly sessionId: string
  readonly name: string
  readonly startedAt: string
  readonly endedAt: string | null
  readonly plannedS: number
  readonly ledS: number
  readonly people: number
}
