import { z } from 'zod'
import { schoolSchema } from './answers.ts'
import { ownPoseSchema, ownVariantSchema } from './pose.ts'

export const ownKinds = ['pose', 'variant', 'school'] as const
export const ownKindSchema = z.enum(ownKinds)
export type OwnKind = z.infer<typeof ownKindSchema>

/** What a teacher adds to the shelf, by kind. */
export const ownSchemas = { pose: ownPoseSchema, variant: ownVariantSchema, school: schoolSchema } as const
export interface OwnDocuments {
  pose: z.infer<typeof ownPoseSchema>
  variant: z.infer<typeof ownVariantSchema>
  school: z.infer<typeof schoolSchema>
}

/** The schema own things are written in: since 2 the roll in a pose's steps out is a token. */
export const ownSchemaVersion = 2

/** An own thing as it is kept: with the version that guards its writes. */
export type OwnThing = {
  [K in OwnKind]: {
    readonly kind: K
    readonly version: number
    readonly document: OwnDocuments[K]
    /** Deleted, and kept readable for as long as something names it. */
    readonly hidden?: boolean
  }
}[OwnKind]
