import { z } from 'zod'
import { paceSchema, patternSchema, roundsSchema } from './breath.ts'
import { betweenSecondsSchema, blockSecondsSchema, idSchema, lineSchema, sideSchema } from './common.ts'
import { blockLimits, breathLimits } from './limits.ts'
import { told } from './refusal.ts'

/** How one sits or lies for a section [breath book 1]. */
export const seats = ['lying', 'incline', 'side', 'chair', 'floorSeat', 'kneeling', 'standing'] as const
export const seatSchema = z.enum(seats)
export type Seat = z.infer<typeof seatSchema>

/** The seat is the one before where absent, at first the technique's; the line is said as the section begins. */
const shared = { id: idSchema, seat: seatSchema.optional(), say: lineSchema.optional() }

const breathsSchema = z.int().min(1).max(breathLimits.rounds)
/** Length of a breath in whole seconds, where it is not counted. */
const breathSecondsSchema = z.int().min(2).max(60)

/** A time, or a number of breaths, of six seconds unless another length is said. */
const lasting = {
  s: z.int().min(1).max(blockLimits.mostS).optional(),
  breaths: breathsSchema.optional(),
  breathS: breathSecondsSchema.optional(),
}
const isOneLength = ({ s, breaths }: { s?: number | undefined; breaths?: number | undefined }): boolean =>
  (s === undefined) !== (breaths === undefined)
const oneLength = { path: ['s'], ...told('TIME_OR_BREATHS', {}) }

export const naturalSectionSchema = z
  .strictObject({
    ...shared,
    ...lasting,
    kind: z.literal('natural'),
    /** Absent: watching the breath. */
    techniqueId: idSchema.optional(),
    attend: lineSchema.optional(),
    /** Its breaths are as long as rounds of this: what a former block left of a list of nostrils [settled A4], counted on
     * from `afterHalf` half-counts, so that nothing is rounded twice. */
    like: z.strictObject({ pattern: patternSchema, pace: paceSchema, afterHalf: z.int().min(0).optional() }).optional(),
  })
  .refine(isOneLength, oneLength)
export type NaturalSection = z.infer<typeof naturalSectionSchema>

export const lessonSectionSchema = z
  .strictObject({
    ...shared,
    ...lasting,
    kind: z.literal('lesson'),
    techniqueId: idSchema,
    /** Which of the technique's lessons, from 1. */
    lesson: z.int().min(1).max(12),
    shown: z.boolean().optional(),
  })
  .refine(isOneLength, oneLength)
export type LessonSection = z.infer<typeof lessonSectionSchema>

export const locks = ['chin', 'belly', 'root'] as const
export const lockSchema = z.enum(locks)
export type Lock = z.infer<typeof lockSchema>

/** The order locks are taken in and let go; the belly before the chin is lifted, in every order [breath book 1]. */
export const locksSchema = z
  .strictObject({ on: z.array(lockSchema).min(1).max(3), off: z.array(lockSchema).min(1).max(3) })
  .refine(({ on, off }) => isOneOrder(on) && isOneOrder(off) && on.every((lock) => off.includes(lock)), {
    path: ['off'],
    ...told('LOCKS_DIFFER', {}),
  })
  .refine(({ off }) => !off.includes('belly') || !off.includes('chin') || off.indexOf('belly') < off.indexOf('chin'), {
    path: ['off'],
    ...told('CHIN_BEFORE_BELLY', {}),
  })
export type Locks = z.infer<typeof locksSchema>

const isOneOrder = (order: readonly Lock[]): boolean => new Set(order).size === order.length

/** One half of a breath, and the nostrils it goes through. */
export const halfBreathSchema = z.strictObject({
  does: z.enum(['in', 'out']),
  through: z.enum(['left', 'right', 'both']),
})
export type HalfBreath = z.infer<typeof halfBreathSchema>

/** Lists that ship; another is written as its half-breaths. */
export const nostrilLists = ['alternate', 'inLeft', 'inRight', 'outInTurn'] as const
export type NostrilList = (typeof nostrilLists)[number]
export const nostrilsSchema = z.union([
  z.enum(nostrilLists),
  z
    .array(halfBreathSchema)
    .min(2)
    .max(16)
    .refine((list) => list.every(({ does }, at) => does !== list.at(at - 1)?.does), told('NOSTRILS_OPEN', {})),
])
export type Nostrils = z.infer<typeof nostrilsSchema>

/** Rounds in sets; the last may be short; or what fills a time, the rest of it natural breath [settled A1]. */
export const roundsAmountSchema = z.union([
  z.strictObject({ sets: z.int().min(1).max(breathLimits.sets), roundsPerSet: roundsSchema }),
  z.strictObject({ rounds: roundsSchema, roundsPerSet: roundsSchema }),
  z.strictObject({ fillS: blockSecondsSchema, roundsPerSet: roundsSchema }),
  /** Uncounted: about so long a breath, as long as is easy. */
  z.strictObject({ breaths: breathsSchema, aboutS: breathSecondsSchema }),
])
export type RoundsAmount = z.infer<typeof roundsAmountSchema>

export const stationSchema = z.strictObject({
  /** Where the hands lie. */
  place: lineSchema.min(1),
  rounds: z.int().min(1).max(60),
  /** Why it has other rounds than the rest. */
  why: lineSchema.optional(),
})
export type Station = z.infer<typeof stationSchema>

const partsSchema = z.int().min(2).max(4)

/** The inhale or the exhale in equal parts, with pauses of so many half-counts between them. */
export const stepsSchema = z.strictObject({
  in: partsSchema.optional(),
  out: partsSchema.optional(),
  pauseHalf: z.int().min(1).max(8),
})

/** One part grows or shrinks by half-counts every so many sets, to a limit and back at least half way. */
export const slopeSchema = z.strictObject({
  part: z.enum(['in', 'full', 'out', 'empty']),
  byHalf: z
    .int()
    .min(-8)
    .max(8)
    .refine((by) => by !== 0, told('SLOPE_STANDS', {})),
  everySets: z.int().min(1).max(breathLimits.sets),
  /** The limit, in half-counts. */
  to: z.int().min(0).max(128),
})
export type Slope = z.infer<typeof slopeSchema>

/** Seconds to finish a breath in, or to breathe out before counting; 0 leaves it out. */
const leadSecondsSchema = z.int().min(0).max(60)

export const roundsSectionSchema = z
  .strictObject({
    ...shared,
    kind: z.literal('rounds'),
    techniqueId: idSchema,
    /** Absent as the technique has them. */
    pattern: patternSchema.optional(),
    pace: paceSchema.optional(),
    amount: roundsAmountSchema.optional(),
    /** In place of an amount. */
    stations: z.array(stationSchema).min(1).max(12).optional(),
    /** Rounds a station when it is shown first; absent: it is not. */
    shown: z.int().min(1).max(20).optional(),
    closed: z.boolean().optional(),
    restS: betweenSecondsSchema.optional(),
    countedRounds: z.int().min(0).max(breathLimits.rounds).optional(),
    /** What sounds in the rounds that are not counted aloud. */
    silent: z.enum(['none', 'turns', 'counts']).optional(),
    nostrils: nostrilsSchema.optional(),
    /** The side a list of nostrils begins on, where that is not the list's own. */
    first: sideSchema.optional(),
    steps: stepsSchema.optional(),
    locks: locksSchema.optional(),
    slope: slopeSchema.optional(),
    leadInS: leadSecondsSchema.optional(),
    wayOutS: leadSecondsSchema.optional(),
  })
  .refine(({ stations, amount, nostrils, steps }) => !stations || (!amount && !nostrils && !steps), {
    path: ['stations'],
    ...told('STATIONS_ALONE', {}),
  })
  .refine(({ slope, stations, amount }) => !slope || (!stations && amount !== undefined && !('fillS' in amount)), {
    path: ['slope'],
    ...told('SLOPE_WITHOUT_SETS', {}),
  })
export type RoundsSection = z.infer<typeof roundsSectionSchema>

export const retentionSectionSchema = z.strictObject({
  ...shared,
  kind: z.literal('retention'),
  held: z.enum(['full', 'empty']),
  /** How long, in half-counts. */
  half: z.int().min(2).max(128),
  pace: paceSchema.optional(),
  /** The breath that leads to it, in half-counts. */
  lead: z.strictObject({ in: z.int().min(1).max(128), out: z.int().min(1).max(128) }),
  locks: locksSchema.optional(),
  strokes: z.strictObject({ n: z.int().min(1).max(60), pace: paceSchema }).optional(),
  /** How its last counts sound. */
  countDown: z.enum(['counts', 'bowl']).optional(),
  times: z.int().min(1).max(breathLimits.sets),
  naturalAfterS: betweenSecondsSchema.optional(),
  leadInS: leadSecondsSchema.optional(),
})
export type RetentionSection = z.infer<typeof retentionSectionSchema>

export const strokesSectionSchema = z.strictObject({
  ...shared,
  kind: z.literal('strokes'),
  techniqueId: idSchema,
  /** Inhale and exhale are both active. */
  both: z.boolean().optional(),
  /** Of one stroke. */
  pace: paceSchema,
  strokes: z.int().min(1).max(200),
  rounds: z.int().min(1).max(breathLimits.sets),
  naturalAfterS: betweenSecondsSchema.optional(),
})
export type StrokesSection = z.infer<typeof strokesSectionSchema>

export const sectionSchema = z.discriminatedUnion('kind', [
  naturalSectionSchema,
  lessonSectionSchema,
  roundsSectionSchema,
  retentionSectionSchema,
  strokesSectionSchema,
])
export type Section = z.infer<typeof sectionSchema>

/** A block of breath work is a list of these, led one after the other. */
export const sectionsSchema = z.array(sectionSchema).min(1).max(40)
