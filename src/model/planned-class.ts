import { z } from 'zod'
import { daySchema, hourSchema, idSchema, instantSchema, lineSchema, nameSchema, textSchema } from './common.ts'
import { formTakenSchema } from './form-taken.ts'
import { mostItems } from './limits.ts'
import { conditionSchema } from './person.ts'
import { propKinds } from './prop.ts'
import { setAsideSchema } from './session.ts'
import { setUpItemSchema } from './set-up.ts'
import type { HouseThing } from './substitute.ts'

const houseThings = ['coat', 'riceBag'] as const satisfies readonly HouseThing[]

/** What some people of a class have in a block in place of its set-up, because there is too little of it. */
export const substituteTakenSchema = z.strictObject({
  blockId: idSchema,
  /** Who: people by id, those without a name as `guest-1` and on; absent: everybody. */
  who: z.array(idSchema).min(1).max(500).optional(),
  way: z.enum(['substitutes', 'few', 'household', 'none']),
  /** How many pieces of a kind are replaced, and by what. */
  replaced: z
    .array(
      z.strictObject({
        kind: z.enum(propKinds),
        by: z.enum([...propKinds, ...houseThings, 'nothing']),
        n: z.int().min(1).max(50),
      }),
    )
    .max(20),
  /** The set-up they have it in place of: with another one it lapses. */
  from: z.array(setUpItemSchema).max(mostItems),
  /** All they have there, from the floor up. */
  items: z.array(setUpItemSchema).max(2 * mostItems),
})
export type SubstituteTaken = z.infer<typeof substituteTakenSchema>

/** What some people of a class have in a block because of their height, in place of the set-up it has. */
const setUpForHeightSchema = z.strictObject({
  blockId: idSchema,
  /** Who, as in a substitute. */
  who: z.array(idSchema).min(1).max(500),
  /** The set-up they have it in place of: with another one it lapses. */
  from: z.array(setUpItemSchema).max(mostItems),
  items: z.array(setUpItemSchema).max(mostItems),
})
export type SetUpForHeight = z.infer<typeof setUpForHeightSchema>

/** How what a class takes comes to the mats: fetched by all before the class or in the first talk, or laid out by the teacher. */
export const waysOfFetching = ['talk', 'before', 'byMe'] as const
export type WayOfFetching = (typeof waysOfFetching)[number]

/** What one person takes in a block. */
const formOfPersonSchema = z.strictObject({
  personId: idSchema,
  blockId: idSchema,
  /** The pose of the block it is taken in place of; blocks of breath and rest have none. */
  poseId: idSchema.optional(),
  takes: formTakenSchema,
  /** Who chose it: what was suggested, or the teacher. */
  by: z.enum(['teacher', 'suggested']),
  at: instantSchema,
  why: lineSchema.optional(),
  /** With a class that was handed over: what is changed, in words, and how long they hold a side at most; not why. */
  handed: z.strictObject({ says: textSchema.optional(), mostS: z.int().min(1).max(3600).optional() }).optional(),
})
export type FormOfPerson = z.infer<typeof formOfPersonSchema>

/** A class that a colleague leads in one's place: to whom it went, which class of theirs it is, and its record once it came back. */
const handedToSchema = z.strictObject({
  /** Absent where it went as a file, to somebody who has no account here. */
  teacherId: idSchema.optional(),
  name: nameSchema,
  at: instantSchema,
  /** Absent where it went as a file. */
  classId: idSchema.optional(),
  /** What they should know. */
  words: textSchema.optional(),
  /** The record as it came back, at the version it came in. */
  record: z.strictObject({ id: idSchema, version: z.int().min(1) }).optional(),
})
/** A class that is led in a colleague's place: whose it is, and which class of theirs. */
const handedFromSchema = handedToSchema.pick({ teacherId: true, name: true, words: true }).extend({ classId: idSchema })

/** To whom a planned class is handed over, what they should know, and what each who comes takes, in words. */
export const handOverSchema = z.strictObject({
  to: idSchema,
  words: textSchema.trim().min(1).optional(),
  forms: z.array(formOfPersonSchema.omit({ why: true })).max(2000),
})
export type HandOver = z.infer<typeof handOverSchema>

/** The same as a file, for somebody by name; and who gives it. */
export const handOverByFileSchema = handOverSchema.omit({ to: true }).extend({ name: nameSchema, from: nameSchema })
export type HandOverByFile = z.infer<typeof handOverByFileSchema>

/** A session on a day at a place with people [settled A11]. Days and times are the place's own, without a zone. */
export const plannedClassSchema = z.strictObject({
  id: idSchema,
  sessionId: idSchema,
  /** The class of a series it is, from 1. */
  series: z.strictObject({ id: idSchema, n: z.int().min(1).max(500) }).optional(),
  /** The part of a long day it is. */
  longDay: z.strictObject({ id: idSchema, partId: idSchema }).optional(),
  placeId: idSchema,
  /** Absent: the place's largest. */
  roomId: idSchema.optional(),
  day: daySchema,
  /** Hours and minutes; a day may be planned without them. */
  startsAt: hourSchema.optional(),
  people: z
    .array(
      z.strictObject({
        personId: idSchema,
        away: z.literal(true).optional(),
        notToday: z.array(lineSchema.min(1)).max(20).optional(),
      }),
    )
    .max(200),
  /** People who come without a name. */
  guests: z.int().min(0).max(500),
  /** What is told of people who come without a name, each of so many of them; who is nobody's. */
  needs: z
    .array(
      z.strictObject({
        id: idSchema,
        condition: conditionSchema.pick({ id: true, severe: true, side: true }),
        people: z.int().min(1).max(100),
      }),
    )
    .max(50)
    .optional(),
  /** When it was asked who cannot practise today, and whether anybody told something. */
  askedToday: z.strictObject({ at: instantSchema, told: z.enum(['nobody', 'somebody']) }).optional(),
  /** What each takes instead; one whose block or pose is gone lapses. */
  forms: z.array(formOfPersonSchema).max(2000),
  substitutes: z.array(substituteTakenSchema).max(500),
  setUps: z.array(setUpForHeightSchema).max(500).optional(),
  /** Absent: in the first talk. */
  fetching: z.enum(waysOfFetching).optional(),
  /** Findings of the class that were set aside; those of the session alone stand in the session [settled A13]. */
  setAside: z.array(setAsideSchema).max(200),
  /** The record of it, once it was led. */
  ledClassId: idSchema.optional(),
  /** The poses that were practised in it, once it was led. */
  posesLed: z.array(idSchema).max(300).optional(),
  /** Written by the server alone, as `handedFrom` is. */
  handedTo: handedToSchema.optional(),
  handedFrom: handedFromSchema.optional(),
})
export type PlannedClass = z.infer<typeof plannedClassSchema>
export type NeedOfNobody = NonNullable<PlannedClass['needs']>[number]

/** A planned class as it is kept: with the version that guards its writes. */
export interface KeptPlannedClass {
  readonly planned: PlannedClass
  readonly version: number
}
