import { z } from 'zod'
import { daySchema, holdSecondsSchema, hourSchema, idSchema, lineSchema, nameSchema } from './common.ts'
import { mostWeeks } from './limits.ts'
import { stageSchema } from './session.ts'

/** The schema this build reads and writes. */
export const seriesSchemaVersion = 1

/** Days of the week as RFC 5545 writes them. */
export const weekdays = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'] as const
export const weekdaySchema = z.enum(weekdays)
export type Weekday = z.infer<typeof weekdaySchema>

const weekSchema = z.int().min(1).max(mostWeeks)
const ofBlock = { id: idSchema, blockId: idSchema }
/** Weeks between one step of a rule and the next. */
const everyWeeksSchema = z.int().min(1).max(26)

/** How a block of the base changes from week to week; at most one thing a week and block. */
export const growthSchema = z.discriminatedUnion('kind', [
  /** A hold grows a step one can say, up to the usual top of its pose, or to a figure. */
  z.strictObject({
    ...ofBlock,
    kind: z.literal('longer'),
    everyWeeks: everyWeeksSchema,
    mostS: holdSecondsSchema.optional(),
  }),
  /** One thing less is said in it, until so many are left. */
  z.strictObject({
    ...ofBlock,
    kind: z.literal('quieter'),
    everyWeeks: everyWeeksSchema,
    least: z.int().min(0).max(40),
  }),
  /** Another form of its pose; null: as the pose is. */
  z.strictObject({ ...ofBlock, kind: z.literal('form'), week: weekSchema, variantId: idSchema.nullable() }),
  /** One pose in place of another. */
  z.strictObject({ ...ofBlock, kind: z.literal('instead'), week: weekSchema, poseId: idSchema }),
  /** The block is not there before that week, or no longer from it on. */
  z.strictObject({ ...ofBlock, kind: z.literal('comes'), week: weekSchema }),
  z.strictObject({ ...ofBlock, kind: z.literal('goes'), week: weekSchema }),
  /** A breath block takes the steps of the breath ladder. */
  z.strictObject({
    ...ofBlock,
    kind: z.literal('ladder'),
    startStep: z.int().min(0).max(27),
    /** Practices a week: classes, and what is practised at home. */
    perWeek: z.int().min(0).max(21),
    topStage: stageSchema.optional(),
    evenWeeksBefore: z.int().min(0).max(520).optional(),
    /** The other thread: techniques that are learned, a lesson a week, in a block of their own. */
    lessons: z
      .strictObject({ blockId: idSchema, techniqueIds: z.array(idSchema).min(1).max(10), from: weekSchema.optional() })
      .optional(),
  }),
])
export type Growth = z.infer<typeof growthSchema>

/** What is said of one class of a series apart from its rhythm; one that is not named is as the rhythm has it. */
export const classOfSeriesSchema = z.strictObject({
  /** Which of the rhythm's classes, from 1, those left out counted along. */
  n: z.int().min(1).max(500),
  /** Another day, or another hour, than the rhythm has. */
  day: daySchema.optional(),
  startsAt: hourSchema.optional(),
  /** Not held, and why. */
  leftOut: lineSchema.optional(),
  /** Its session, once it is no longer computed: a version of the base, or another. */
  sessionId: idSchema.optional(),
})
export type ClassOfSeries = z.infer<typeof classOfSeriesSchema>

/** Several weeks that are planned as one thing [decisions, series]. */
export const seriesSchema = z.strictObject({
  schema: z.literal(seriesSchemaVersion),
  id: idSchema,
  name: nameSchema,
  /** The session its classes are made from. */
  baseId: idSchema,
  weekdays: z.array(weekdaySchema).min(1).max(7),
  /** Absent: every week. */
  everyWeeks: z.int().min(1).max(8).optional(),
  startsAt: hourSchema.optional(),
  /** No class is before that day. */
  firstDay: daySchema,
  weeks: weekSchema,
  placeId: idSchema.optional(),
  roomId: idSchema.optional(),
  people: z.array(idSchema).max(200),
  guests: z.int().min(0).max(500),
  growth: z.array(growthSchema).max(200),
  /** Weeks in which nothing grows: from there on the rest is moved by one. */
  waits: z.array(weekSchema).max(mostWeeks).optional(),
  classes: z.array(classOfSeriesSchema).max(500),
})
export type Series = z.infer<typeof seriesSchema>

/** A series as it is kept: with the version that guards its writes. */
export interface KeptSeries {
  readonly series: Series
  readonly version: number
}
