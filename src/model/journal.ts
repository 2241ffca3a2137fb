import { z } from 'zod'
import { idSchema, instantSchema, practiceSchema } from './common.ts'
import type { BreathAnswers } from './led-class.ts'

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
  /** What was noted of it, for next time. */
  readonly note: string
  /** What was answered of its breath work; null where nothing was. */
  readonly breath: BreathAnswers | null
  /** The colleague who led it, where it was handed over. */
  readonly ledBy: string | null
}

/** Which classes of the journal are wished for; what is absent is not asked. */
export const journalWishSchema = z.strictObject({
  /** Words of the name or the note. */
  find: z.string().trim().min(1).max(200).optional(),
  sessionId: idSchema.optional(),
  /** Led from a session of this series, or planned for it. */
  seriesId: idSchema.optional(),
  practice: practiceSchema.optional(),
  placeId: idSchema.optional(),
  /** Begun at this instant or later, and before that one. */
  from: instantSchema.optional(),
  to: instantSchema.optional(),
})
export type JournalWish = z.infer<typeof journalWishSchema>

/** What there is to choose from. */
export interface JournalChoices {
  readonly sessions: readonly { readonly id: string; readonly name: string }[]
  readonly series: readonly { readonly id: string; readonly name: string }[]
  readonly practices: readonly string[]
  readonly placeIds: readonly string[]
}
