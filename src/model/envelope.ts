import { z } from 'zod'
import { schoolSchema } from './answers.ts'
import { blockSchema } from './block.ts'
import { ownSchemaVersion } from './own.ts'
import { formerBlockSchema } from './former-block.ts'
import { lift, liftBlock } from './lift.ts'
import { formerOwnPoseSchema, formerOwnVariantSchema } from './pose.ts'
import { formerSessionSchema, sessionSchema } from './session.ts'
import { setUpSchema } from './set-up.ts'
import { techniqueSchema } from './technique.ts'
import { told } from './refusal.ts'
import { voiceCarriedSchema } from './voice.ts'
import type { VoiceCarried } from './voice.ts'

export const envelopeFormat = 'zovrin.session'
export const envelopeVersion = 2
/** What carries a recorded voice is of a version of its own, so that a Zovrin before it says that the file is newer. */
export const voicedEnvelopeVersion = 3

/** Everything of the teacher's own that the sessions or blocks stand on. People and records are never in it. */
export const envelopeOwnSchema = z.strictObject({
  /** The schema they are written in; absent in files of the first edition. */
  schema: z.int().min(1).max(ownSchemaVersion).optional(),
  poses: z.array(formerOwnPoseSchema).max(200),
  variants: z.array(formerOwnVariantSchema).max(400),
  /** Absent in files before schema 3. */
  setUps: z.array(setUpSchema).max(400).default([]),
  /** Reserved: this version has no techniques of one's own. */
  techniques: z.array(techniqueSchema).max(0),
  schools: z.array(schoolSchema).max(50),
})

const carried = { format: z.literal(envelopeFormat), own: envelopeOwnSchema }
const many = <S extends z.ZodType>(session: S) => z.array(session).min(1).max(500).optional()

/** Sessions, or blocks that were copied, as they leave Zovrin: an open JSON document. */
export const writtenEnvelopeSchema = z.strictObject({
  ...carried,
  version: z.literal(envelopeVersion),
  sessions: many(sessionSchema),
  blocks: z.array(blockSchema).min(1).max(200).optional(),
})
/** Sessions with their sentences in the teacher's voice, on request. */
export const voicedEnvelopeSchema = z.strictObject({
  ...carried,
  version: z.literal(voicedEnvelopeVersion),
  sessions: z.array(sessionSchema).min(1).max(500),
  voices: z.array(voiceCarriedSchema).min(1).max(5000),
})
export type VoicedEnvelope = z.infer<typeof voicedEnvelopeSchema>
export type Envelope = z.infer<typeof writtenEnvelopeSchema> & { readonly voices?: readonly VoiceCarried[] }

/** The same of version 1, whose sessions and blocks are of schema 1. */
const formerEnvelopeSchema = z
  .strictObject({
    ...carried,
    version: z.literal(1),
    sessions: many(formerSessionSchema),
    blocks: z.array(formerBlockSchema).min(1).max(200).optional(),
  })
  .transform(({ sessions, blocks, ...envelope }): Envelope => ({
    ...envelope,
    version: envelopeVersion,
    ...(sessions ? { sessions: sessions.map(lift) } : {}),
    ...(blocks ? { blocks: blocks.map(liftBlock) } : {}),
  }))

/** Reads an envelope of any version, with what it carries as this build has it. */
export const envelopeSchema = z
  .discriminatedUnion('version', [
    writtenEnvelopeSchema.transform((envelope): Envelope => envelope),
    formerEnvelopeSchema,
    voicedEnvelopeSchema.transform((envelope): Envelope => ({ ...envelope, version: envelopeVersion })),
  ])
  .superRefine(({ sessions, blocks }, context) => {
    const ids = (sessions ?? []).map(({ id }) => id)
    ids.forEach((id, at) => {
      const first = ids.indexOf(id)
      if (first < at) context.addIssue({ code: 'custom', path: ['sessions', at, 'id'], ...told('ID_TWICE', { first }) })
    })
    if ((sessions === undefined) === (blocks === undefined)) {
      context.addIssue({ code: 'custom', path: ['sessions'], ...told('SESSIONS_OR_BLOCKS', {}) })
    }
  })
