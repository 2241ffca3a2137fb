import { z } from 'zod'
import { someAnswersSchema } from './answers.ts'
import { blockSchema } from './block.ts'
import {
  idSchema,
  instantSchema,
  levelSchema,
  lineSchema,
  nameSchema,
  practiceSchema,
  sessionSecondsSchema,
  textSchema,
} from './common.ts'
import { someTimesSchema } from './times.ts'
import { told } from './refusal.ts'
import { someWordingSchema } from './wording.ts'

/** The schema this build reads and writes; an older document is migrated, a newer one refused. */
export const sessionSchemaVersion = 1
export const mostBlocks = 200

/** A finding put aside by the teacher; it lapses when its facts differ. */
export const setAsideSchema = z.strictObject({
  code: z.string().min(1).max(60),
  place: z.string().max(120),
  facts: z.record(z.string(), z.union([z.string(), z.number(), z.boolean()])),
  reason: lineSchema,
  at: instantSchema,
})

export const sessionSchema = z
  .strictObject({
    schema: z.literal(sessionSchemaVersion),
    id: idSchema,
    name: nameSchema,
    practice: practiceSchema,
    level: levelSchema,
    /** The length to fill, in whole seconds. */
    lengthS: sessionSecondsSchema,
    schoolId: idSchema,
    answers: someAnswersSchema.optional(),
    times: someTimesSchema.optional(),
    /** How stillness, the roll and the stop signs are said; absent: as shipped. */
    wording: someWordingSchema.optional(),
    purpose: textSchema.optional(),
    blocks: z.array(blockSchema).max(mostBlocks),
    setAside: z.array(setAsideSchema).max(200).optional(),
    versionOf: z.strictObject({ sessionId: idSchema, note: lineSchema.optional() }).optional(),
  })
  .superRefine((session, context) => {
    const seen = new Map<string, number>()
    session.blocks.forEach((block, index) => {
      if (block.kind === 'closing' && index < session.blocks.length - 1) {
        const last = session.blocks.length - 1
        context.addIssue({ code: 'custom', path: ['blocks', index, 'kind'], ...told('CLOSING_NOT_LAST', { last }) })
      }
      const first = seen.get(block.id)
      if (first !== undefined) {
        context.addIssue({ code: 'custom', path: ['blocks', index, 'id'], ...told('ID_TWICE', { first }) })
      }
      seen.set(block.id, index)
    })
  })
export type Session = z.infer<typeof sessionSchema>
