import { z } from 'zod'
import { paceSchema, patternSchema, roundsSchema } from './breath.ts'
import { basePositionSchema, betweenSecondsSchema, blockSecondsSchema, idSchema, lineSchema } from './common.ts'
import { breathLimits } from './limits.ts'
import { namesSchema } from './names.ts'
import { meaningSchema } from './pose.ts'
import { nostrilsSchema, stepsSchema } from './section.ts'

/** How much of a technique is usual: natural breath for a time, counted sets, or what fills a time. */
export const usualAmountSchema = z.union([
  z.strictObject({ naturalS: blockSecondsSchema }),
  z.strictObject({ sets: z.int().min(1).max(breathLimits.sets), roundsPerSet: roundsSchema }),
  z.strictObject({ fillS: blockSecondsSchema, roundsPerSet: roundsSchema }),
])

/** A way of breathing; `cautionId` is its entry in the cautions reference (3.1). */
export const techniqueSchema = z.strictObject({
  id: idSchema,
  cautionId: z.string().regex(/^br_[a-z_]+$/),
  names: namesSchema,
  counted: z.boolean(),
  strong: z.boolean(),
  purpose: lineSchema,
  how: z.array(lineSchema).min(1),
  preparation: z.array(lineSchema),
  /** Learning it, one lesson after another; each is easy before the next. */
  lessons: z.array(lineSchema.min(1)).min(1).max(12),
  stopSigns: z.array(lineSchema).min(1),
  /** When it may be begun, and by which techniques that is known. */
  startsWhen: z.strictObject({ words: lineSchema, easy: z.array(idSchema) }),
  /** Seat, or what else will do. */
  seat: z.enum(['any', 'seat', 'seatOrIncline', 'seatInclineOrLying', 'standOrSeat']),
  /** What new people are given; absent where it is not offered to them. */
  forNew: lineSchema.optional(),
  /** Taught in person: planned for a room only, never online or at home. */
  inPerson: z.boolean(),
  /** What an answer to the handbook's table means here. */
  meanings: z
    .array(meaningSchema.pick({ question: true, answer: true }).extend({ says: lineSchema.min(1) }))
    .optional(),
  /** Hours since a meal. */
  foodGapH: z.int().min(0).max(8),
  nose: z.enum(['any', 'clear', 'bothClear']),
  basePosition: basePositionSchema,
  setUpS: betweenSecondsSchema,
  pattern: patternSchema.optional(),
  /** The half-breaths of its round, where each goes through a nostril of its own. */
  nostrils: nostrilsSchema.optional(),
  /** Places for the hands, where it is learned by them. */
  stations: z.array(lineSchema.min(1)).min(2).max(8).optional(),
  /** The equal parts of its inhale or exhale, where it goes in steps. */
  steps: stepsSchema.optional(),
  /** Active exhales, or both halves, at a pace. */
  strokes: z.enum(['exhale', 'both']).optional(),
  pace: paceSchema,
  amount: usualAmountSchema,
  restBetweenSetsS: betweenSecondsSchema,
  countedRounds: z.int().min(0).max(500),
})
export type Technique = z.infer<typeof techniqueSchema>
