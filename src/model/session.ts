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
  sideSchema,
  textSchema,
} from './common.ts'
import { formerBlockSchema } from './former-block.ts'
import { mostBlocks, mostNextTime } from './limits.ts'
import { targetSchema } from './pose.ts'
import { extents } from './set-up.ts'
import { someTimesSchema } from './times.ts'
import { told } from './refusal.ts'
import { someWordingSchema } from './wording.ts'

/** The schema this build reads and writes; an older document is migrated, a newer one refused. */
export const sessionSchemaVersion = 2

/** A finding put aside by the teacher; it lapses when its facts differ. */
export const setAsideSchema = z.strictObject({
  code: z.string().min(1).max(60),
  place: z.string().max(120),
  facts: z.record(z.string(), z.union([z.string(), z.number(), z.boolean()])),
  reason: lineSchema,
  at: instantSchema,
})

/** Where it is held: in a room with the teacher, over a line, or by people alone at home. */
export const settings = ['room', 'online', 'home'] as const
export const settingSchema = z.enum(settings)
export type Setting = z.infer<typeof settingSchema>

/** The stages of the breath ladder [breath book 4]. */
export const stageSchema = z.int().min(1).max(6)

/** What a session has said since schema 1. */
const asFormer = {
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
  setAside: z.array(setAsideSchema).max(200).optional(),
  versionOf: z.strictObject({ sessionId: idSchema, note: lineSchema.optional() }).optional(),
}

/** Since schema 2: where it is held and with what, what it is about, and how far its breath work may go. */
const since2 = {
  /** Absent: in a room. */
  setting: settingSchema.optional(),
  /** Absent: the place marked usual. */
  placeId: idSchema.optional(),
  /** How much its set-ups take; absent: full in a room, household online and at home [settled A21]. */
  extent: z.enum(extents).optional(),
  theme: lineSchema.optional(),
  regions: z.array(targetSchema).max(20).optional(),
  /** The stage of the breath ladder it is planned for; absent: 2. */
  stage: stageSchema.optional(),
  /** The hand that closes the nostrils; absent: the right one. */
  hand: sideSchema.optional(),
  /** What is asked and said before breath work; absent: what its techniques want. */
  before: z.array(lineSchema.min(1)).max(20).optional(),
  /** What to think of the next time it is planned or led, until it is ticked. */
  nextTime: z
    .array(z.strictObject({ id: idSchema, text: lineSchema.min(1) }))
    .max(mostNextTime)
    .optional(),
}

export const sessionSchema = z
  .strictObject({
    schema: z.literal(sessionSchemaVersion),
    ...asFormer,
    ...since2,
    blocks: z.array(blockSchema).max(mostBlocks),
  })
  .superRefine(blocksInOrder)
export type Session = z.infer<typeof sessionSchema>

/** A session of schema 1. */
export const formerSessionSchema = z
  .strictObject({ schema: z.literal(1), ...asFormer, blocks: z.array(formerBlockSchema).max(mostBlocks) })
  .superRefine(blocksInOrder)
export type FormerSession = z.infer<typeof formerSessionSchema>

/** The closing is the last, and no two blocks have one id. */
function blocksInOrder(
  { blocks }: { readonly blocks: readonly { readonly id: string; readonly kind: string }[] },
  context: z.RefinementCtx,
): void {
  const seen = new Map<string, number>()
  blocks.forEach((block, index) => {
    if (block.kind === 'closing' && index < blocks.length - 1) {
      const last = blocks.length - 1
      context.addIssue({ code: 'custom', path: ['blocks', index, 'kind'], ...told('CLOSING_NOT_LAST', { last }) })
    }
    const first = seen.get(block.id)
    if (first !== undefined) {
      context.addIssue({ code: 'custom', path: ['blocks', index, 'id'], ...told('ID_TWICE', { first }) })
    }
    seen.set(block.id, index)
  })
}
