import { z } from 'zod'
import { paceSchema, patternSchema } from './breath.ts'
import {
  basePositionSchema,
  idSchema,
  instantSchema,
  lineSchema,
  nameSchema,
  sideSchema,
  textSchema,
} from './common.ts'
import { soundSchema } from './cue.ts'
import { ledLimits } from './limits.ts'
import { anySessionSchema } from './lift.ts'
import type { ObservedMark } from './observed-mark.ts'
import { lockSchema } from './section.ts'

/** Class time in whole milliseconds since Start. */
const runMsSchema = z.int().min(0).max(ledLimits.runMs)
/** A text that was put together from several lines of the plan. */
const saidSchema = z.string().max(ledLimits.saidCharacters)
const halfCountsSchema = z.int().min(0).max(ledLimits.halfCounts)

const strokesSchema = z.strictObject({ n: z.int().min(1).max(200), pace: paceSchema })

/** A part of a counted round, in ticks: a half-count has `over` of them, so that an inhale in three parts is whole. */
const countedPartSchema = z.strictObject({
  part: z.enum(['in', 'full', 'out', 'empty', 'pause']),
  ticks: z.int().min(1).max(10_000),
  /** The nostrils it goes through, where they are said. */
  through: z.enum(['left', 'right', 'both']).optional(),
  /** Which of the equal parts of an inhale or exhale in steps, from 1. */
  step: z.int().min(1).max(8).optional(),
  /** A lock that is taken or let go in it. */
  lock: z.strictObject({ lock: lockSchema, does: z.enum(['on', 'off']) }).optional(),
  /** Belly strokes in it. */
  strokes: strokesSchema.optional(),
})

const inSection = {
  kind: z.literal('breath'),
  /** Which of the block's sections, from 0. */
  section: z.int().min(0),
  set: z.int().min(0),
  /** Which of the places for the hands, from 0, and what it is called. */
  station: z.strictObject({ at: z.int().min(0), place: lineSchema }).optional(),
}

/** A counted run of a breath: whole rounds of the same parts, begun `from` ticks after its section's counting began. */
const countedBreathSchema = z.strictObject({
  ...inSection,
  part: z.literal('counted'),
  rounds: z.int().min(1),
  pace: paceSchema,
  over: z.int().min(1).max(12),
  from: halfCountsSchema,
  parts: z.array(countedPartSchema).min(1).max(64),
  /** Rounds that are counted aloud, and what sounds in the others; absent: all are, as it was. */
  aloud: z.int().min(0).optional(),
  silent: z.enum(['none', 'turns', 'counts']).optional(),
})
const uncountedBreathSchema = z.strictObject({
  ...inSection,
  part: z.enum(['natural', 'rest', 'lesson', 'uncounted', 'leadIn', 'wayOut', 'strokes']),
  strokes: strokesSchema.optional(),
  /** Natural breath that stands, after a stop sign, for what was planned here. */
  stopped: z.literal(true).optional(),
})

/** Counted breath as it was kept before breath work had sections: by its pattern. */
const formerCountedSchema = z
  .strictObject({
    kind: z.literal('breath'),
    part: z.literal('counted'),
    set: z.int().min(1),
    rounds: z.int().min(1),
    pattern: patternSchema,
    pace: paceSchema,
    from: halfCountsSchema,
  })
  .transform(({ pattern, ...run }): z.infer<typeof countedBreathSchema> => ({
    ...run,
    section: 0,
    over: 1,
    parts: (['in', 'full', 'out', 'empty'] as const).flatMap((part) =>
      pattern[part] > 0 ? [{ part, ticks: pattern[part] }] : [],
    ),
  }))
const formerUncountedSchema = z
  .strictObject({ kind: z.literal('breath'), part: z.enum(['natural', 'rest']), set: z.int().min(0) })
  .transform((doing): z.infer<typeof uncountedBreathSchema> => ({ ...doing, section: 0 }))

const breathDoingSchema = z.union([
  countedBreathSchema,
  uncountedBreathSchema,
  formerCountedSchema,
  formerUncountedSchema,
])
/** A counted run of a movement: whole rounds of its parts. */
const countedMovementSchema = z.strictObject({
  kind: z.literal('movement'),
  part: z.literal('counted'),
  rounds: z.int().min(1),
  pace: paceSchema,
  parts: z
    .array(
      z.strictObject({
        part: z.enum(['in', 'out', 'stay', 'retention']),
        halfCounts: z.int().min(1),
        does: lineSchema,
      }),
    )
    .min(1)
    .max(8),
})
const restOfMovementSchema = z.strictObject({ kind: z.literal('movement'), part: z.literal('rest'), does: lineSchema })

/** What happens in a stretch of a led class. Breath stands by its round's parts, pace and rounds, so that no class is too long. */
const plainDoingSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('talk') }),
  z.strictObject({
    kind: z.literal('change'),
    from: basePositionSchema.optional(),
    to: basePositionSchema,
    text: lineSchema.optional(),
  }),
  z.strictObject({ kind: z.literal('setUp'), second: z.boolean() }),
  z.strictObject({ kind: z.literal('settle') }),
  z.strictObject({
    kind: z.literal('hold'),
    phase: z.strictObject({ id: idSchema, name: nameSchema.or(z.literal('')), index: z.int().min(0) }),
  }),
  z.strictObject({ kind: z.literal('comingOut') }),
  z.strictObject({ kind: z.literal('betweenSides'), form: z.enum(['nothing', 'stillness', 'movement']) }),
  z.strictObject({ kind: z.literal('afterRest'), form: z.enum(['stillness', 'movement']) }),
  z.discriminatedUnion('part', [countedMovementSchema, restOfMovementSchema]),
  z.strictObject({ kind: z.literal('rest') }),
  z.strictObject({ kind: z.literal('closing'), step: z.enum(['finalRest', 'comingOut', 'roll', 'sittingUp']) }),
])
export const ledDoingSchema = z.union([plainDoingSchema, breathDoingSchema])
export type LedDoing = z.infer<typeof ledDoingSchema>

/** A stretch of the plan as it is led: with a length that may change, and its mirror. */
export const ledSegmentSchema = z.strictObject({
  index: z.int().min(0),
  blockId: idSchema,
  blockIndex: z.int().min(0),
  side: sideSchema.or(z.literal('both')).nullable(),
  doing: ledDoingSchema,
  lengthMs: runMsSchema,
  /** On a second side's hold: the first side's segment whose real time it takes. */
  mirrors: z.int().min(0).optional(),
  /** The hold after it begins when the teacher says that all are settled, and not before. */
  waits: z.literal(true).optional(),
})

/** A cue by its distance from the start or the end of its segment. */
export const ledCueSchema = z.strictObject({
  id: z.string().min(1).max(80),
  segment: z.int().min(0),
  offsetMs: runMsSchema,
  fromEnd: z.boolean(),
  /** After this share of its segment: a hold that is re-fitted before it begins takes it along. */
  share: z.number().min(0).lt(1).optional(),
  text: saidSchema.optional(),
  sound: soundSchema.optional(),
})

export const ledOverSchema = z.strictObject({
  name: nameSchema,
  pattern: patternSchema,
  pace: paceSchema,
  rounds: z.int().min(0).optional(),
  countedRounds: z.int().min(0),
})

/** A script over the segments `[from, to)`: what is said after other words and before others, and what each sentence takes. */
const ledScriptSchema = z.strictObject({
  from: z.int().min(0),
  to: z.int().min(1),
  afterMs: runMsSchema,
  beforeEndMs: runMsSchema,
  sentences: z
    .array(z.strictObject({ text: saidSchema, sayMs: runMsSchema, pauseMs: runMsSchema }))
    .min(1)
    .max(200),
  /** How many sentences come before the long quiet. */
  quietAfter: z.int().min(1),
})

/** All that a class is led from; plain data, kept whole in its record. */
export const ledPlanSchema = z.strictObject({
  segments: z.array(ledSegmentSchema).max(ledLimits.segments),
  cues: z.array(ledCueSchema).max(ledLimits.cues),
  totalMs: runMsSchema,
  /** How long a second side may follow the first, by block: the larger of planned time and first ceiling. */
  capMs: z.record(idSchema, runMsSchema),
  /** The first ceiling of each hold, by block. */
  ceilingMs: z.record(idSchema, runMsSchema),
  /** Breath over a hold, by block. */
  over: z.record(idSchema, ledOverSchema),
  /** By what the change into a block was estimated, and how long it takes by that estimate alone; none where it was set. */
  changes: z.record(idSchema, z.strictObject({ by: z.enum(['position', 'props']), usualMs: runMsSchema })).optional(),
  /** What is said sentence by sentence; absent where nothing is. */
  scripts: z.array(ledScriptSchema).max(1000).optional(),
})
export type LedPlan = z.infer<typeof ledPlanSchema>

/** What the teacher can tell a class, without more to say of it. */
export const plainEventTypes = [
  'pause',
  'resume',
  'theyComeOut',
  'stay',
  'end',
  'back',
  'match',
  'freely',
  'stopCard',
  'mark',
  'bell',
  'leave',
  'wentOn',
  'stoppedThen',
  /** After a stop sign: what is counted and not held is led again. */
  'countAgain',
  /** Somebody came after Start. */
  'cameLate',
  /** What was re-fitted and has not begun is led as it was planned again. */
  'asPlanned',
  /** All are settled: the hold begins; where the clock leads, a change or a set-up is over. */
  'settled',
] as const

const anEvent = { atMs: runMsSchema }

/** What makes up time, or gives what is over: less between, poses left out, a later end, shorter or longer holds, fewer rounds, the rest. */
export const refitWays = [
  'lessBetween',
  'leaveOut',
  'endLater',
  'shorter',
  'fewerRounds',
  'finalRest',
  'longer',
  'left',
  'moved',
] as const
/** What of a plan that has not begun is led otherwise from here on: as it was worked out then, so that a log tells all of it. */
const refitSchema = z.strictObject({
  type: z.literal('refit'),
  way: z.enum(refitWays),
  /** New lengths of segments. */
  lengths: z.array(z.strictObject({ segment: z.int().min(0), ms: runMsSchema })).max(ledLimits.segments),
  /** All blocks that are left out then. */
  leaves: z.array(idSchema).max(1000),
  /** The places of the plan's blocks in the order in which they are led then; absent: as before. */
  order: z.array(z.int().min(0)).max(1000).optional(),
  /** The end that was said with it, in class time. */
  saidEndMs: runMsSchema.optional(),
  ...anEvent,
})
/** Something that happened to a class, at its own time since Start. */
export const leadEventSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.enum(plainEventTypes), ...anEvent }),
  refitSchema,
  /** The answer to a late start: when the class is promised to end, in class time. */
  z.strictObject({ type: z.literal('promised'), endMs: runMsSchema, ...anEvent }),
  /** Bells that came due while sound was held back. */
  z.strictObject({ type: z.literal('missed'), bells: z.int().min(1), ...anEvent }),
  /** The page slept or was away: the last instant it had seen, so that the log alone folds to the state. */
  z.strictObject({ type: z.literal('gap'), seenMs: runMsSchema, ...anEvent }),
  /** The machine's clock was set: from here on this wall time stands for that class time. */
  z.strictObject({ type: z.literal('anchor'), epochMs: z.int().min(0), ...anEvent }),
])
export type LeadEvent = z.infer<typeof leadEventSchema>
export type Refit = z.infer<typeof refitSchema>

/** An event as it is kept: its running number from 1, and the device that told it. */
export const keptEventSchema = z.strictObject({ n: z.int().min(1), by: idSchema, event: leadEventSchema })
export type KeptEvent = z.infer<typeof keptEventSchema>

/** A segment as it was really conducted, `[startMs, endMs)`; natural breath put in between has no segment. */
export const visitSchema = z.strictObject({
  segment: z.int().min(0).nullable(),
  blockId: idSchema,
  startMs: runMsSchema,
  endMs: runMsSchema,
  /** An attempt that was begun again: kept in the record, not counted for the other side. */
  again: z.boolean(),
  /** In counted breath: whole rounds that were done, and the longest that a breath was held. */
  rounds: z.int().min(0).optional(),
  longestHeldMs: runMsSchema.optional(),
})
export type Visit = z.infer<typeof visitSchema>

/** What a block was called and said on the day, whatever the shelf says later. */
export const ledBlockSchema = z.strictObject({
  name: nameSchema,
  sides: z.strictObject({ left: lineSchema, right: lineSchema }).optional(),
  /** What each section of breath work was called; absent in records from before it had any. */
  sections: z.array(lineSchema).max(40).optional(),
})

/** A class as it begins: its own full copy of what is led, which later edits of the session never change. */
/** What some take otherwise in a block, by how many: never who. */
const ledFormSchema = z.strictObject({
  blockId: idSchema,
  /** As it is called at a glance; empty where they only come out early. */
  form: lineSchema,
  people: z.int().min(1).max(500),
  /** A side, where they hold it shorter than all: seconds. */
  heldS: z.int().min(1).max(3600).optional(),
  /** The pose is new to them: they are shown it first. */
  isNew: z.literal(true).optional(),
})
export type LedForm = z.infer<typeof ledFormSchema>

export const ledStartSchema = z.strictObject({
  id: idSchema,
  sessionId: idSchema,
  placeId: idSchema.optional(),
  startedAt: instantSchema,
  /** When it was to start, where that was said. */
  startsAt: instantSchema.optional(),
  /** When the class was promised to end; a re-fit never moves it, only the answer to a late start. */
  promisedEnd: instantSchema,
  /** When the room has to be left. */
  freeUntil: instantSchema.optional(),
  /** What the place says of an emergency. */
  emergency: z.array(lineSchema).max(10).optional(),
  /** In a class of a series: what comes in the next one, to be read out at the closing. */
  next: lineSchema.optional(),
  people: z.int().min(0).max(500),
  /** When the teacher said that everybody had been asked, in private, what speaks against held breath and strokes. */
  askedAt: instantSchema.optional(),
  document: anySessionSchema,
  blocks: z.record(idSchema, ledBlockSchema),
  /** In a planned class: the counts of forms, block by block. */
  forms: z.array(ledFormSchema).max(2000).optional(),
  plan: ledPlanSchema,
})
export type LedStart = z.infer<typeof ledStartSchema>

/** How the breath was, and why it was left free, as the teacher answers after class; what is not answered is absent. */
export const breathAnswersSchema = z.strictObject({
  was: z.enum(['easy', 'strained', 'notSure']).optional(),
  freedFor: z.enum(['comfort', 'other']).optional(),
})
export type BreathAnswers = z.infer<typeof breathAnswersSchema>

/** How a class ended: what was conducted, as it was, so that no later program has to find it out again. */
export const ledEndSchema = z.strictObject({
  endedAt: instantSchema,
  left: z.boolean(),
  visits: z.array(visitSchema).max(ledLimits.visits),
  note: textSchema.optional(),
  breath: breathAnswersSchema.optional(),
  /** The device that tells it; absent: one that knows of no other. */
  by: idSchema.optional(),
})
export type LedEnd = z.infer<typeof ledEndSchema>

/** What the teacher writes of a class afterwards; empty takes the note away. */
export const ledNoteSchema = z.strictObject({ note: textSchema })

/** Events that are sent together, in the order of their numbers without a gap. */
export const eventsSchema = z.strictObject({
  events: z.array(keptEventSchema).max(ledLimits.events),
  /** Class time until which it was seen to run. */
  conductedMs: runMsSchema,
  /** The device that tells them; absent: one that knows of no other. */
  by: idSchema.optional(),
})
export type EventsSent = z.infer<typeof eventsSchema>

/** What a device told of a class after another had taken it over: kept beside the record, and not counted. */
export const ledAsideSchema = z.strictObject({
  by: idSchema,
  /** How that device is called. */
  name: nameSchema,
  keptAt: instantSchema,
  events: z.array(keptEventSchema).max(ledLimits.events),
  /** Class time until which it led on. */
  conductedMs: runMsSchema,
  /** What the teacher wrote there when it ended. */
  note: textSchema.optional(),
})
export type LedAside = z.infer<typeof ledAsideSchema>

/** The stretches of a plan that a record is told from, whatever edition wrote it. */
export interface ToldPlan {
  readonly segments: readonly {
    readonly index: number
    readonly blockId: string
    readonly side: 'left' | 'right' | 'both' | null
    readonly doing: { readonly kind: string }
    readonly lengthMs: number
  }[]
  readonly totalMs: number
}

interface AnyLedClass extends Omit<LedStart, 'plan'> {
  readonly events: readonly KeptEvent[]
  /** Class time until which it was seen to run. */
  readonly conductedMs: number
  readonly endedAt: string | null
  readonly left: boolean
  readonly note: string | null
  readonly breath: BreathAnswers | null
  /** Of its note and its answers, which alone can be changed in a finished record. */
  readonly version: number
  /** What was led on another device meanwhile, and does not count. */
  readonly asides: readonly LedAside[]
  /** What those marked who looked on, in the order of its time. */
  readonly marks: readonly ObservedMark[]
  /** The colleague who led it, where it was handed over. */
  readonly ledBy: string | null
}

/**
 * The record of a class as it is read. What was conducted stands in it once it ended; before that its log can be
 * folded. A record of the first edition has only its visits, and its times are near where it was away in between.
 */
export type LedClass = AnyLedClass &
  (
    | { readonly format: 2; readonly plan: LedPlan; readonly visits: readonly Visit[] | null }
    | { readonly format: 1; readonly plan: ToldPlan; readonly visits: readonly Visit[]; readonly isAbout: boolean }
  )
