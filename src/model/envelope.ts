import { z } from 'zod'
import { schoolSchema } from './answers.ts'
import { blockSchema } from './block.ts'
import { ownSchemaVersion } from './own.ts'
import { formerOwnPoseSchema, formerOwnVariantSchema } from './pose.ts'
import { sessionSchema } from './session.ts'
import { setUpSchema } from './set-up.ts'
import { techniqueSchema } from './technique.ts'
import { told } from './refusal.ts'

export const envelopeFormat = 'zovrin.session'
export const envelopeVersion = 1

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

/** Sessions, or blocks that were copied, as they leave Zovrin: an open JSON document. */
export const envelopeSchema = z
  .strictObject({
    format: z.literal(envelopeFormat),
    version: z.literal(envelopeVersion),
    sessions: z.array(sessionSchema).min(1).max(500).optional(),
    blocks: z.array(blockSchema).min(1).max(200).optional(),
    own: envelopeOwnSchema,
  })
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
export type Envelope = z.infer<typeof envelopeSchema>
