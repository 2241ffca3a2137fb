import { z } from 'zod'
import { schoolSchema } from './answers.ts'
import { namedScriptSchema } from './script.ts'
import type { NamedScript } from './script.ts'
import { pieceSchema } from './piece.ts'
import type { Piece } from './piece.ts'
import { ownPoseSchema, ownVariantSchema } from './pose.ts'
import { setUpSchema } from './set-up.ts'
import type { SetUp } from './set-up.ts'

export const ownKinds = ['pose', 'variant', 'school', 'piece', 'setUp', 'script'] as const
export const ownKindSchema = z.enum(ownKinds)
export type OwnKind = z.infer<typeof ownKindSchema>

/** What a teacher adds to the shelf, by kind. */
export interface OwnDocuments {
  pose: z.infer<typeof ownPoseSchema>
  variant: z.infer<typeof ownVariantSchema>
  school: z.infer<typeof schoolSchema>
  piece: Piece
  setUp: SetUp
  script: NamedScript
}

/**
 * The schema own things are written in: since 2 the roll in a pose's steps out is a token, since 3 what a pose takes is
 * a set-up of its own, since 4 the breath blocks of a piece are sections, since 5 a school says in which order locks are taken
 * and where three-part breath stands.
 */
export const ownSchemaVersion = 5

/** An own thing's document with its kind. */
export type OwnDocument = { [K in OwnKind]: { readonly kind: K; readonly document: OwnDocuments[K] } }[OwnKind]

/** An own thing as it is kept: with the version that guards its writes. */
export type OwnThing = OwnDocument & {
  readonly version: number
  /** Deleted, and kept readable for as long as something names it. */
  readonly hidden?: boolean
}

/** A document of a kind, told with it; throws what the schema of the kind refuses. */
export function readOwn(kind: OwnKind, document: unknown): OwnDocument {
  switch (kind) {
    case 'pose':
      return { kind, document: ownPoseSchema.parse(document) }
    case 'variant':
      return { kind, document: ownVariantSchema.parse(document) }
    case 'school':
      return { kind, document: schoolSchema.parse(document) }
    case 'piece':
      return { kind, document: pieceSchema.parse(document) }
    case 'setUp':
      return { kind, document: setUpSchema.parse(document) }
    case 'script':
      return { kind, document: namedScriptSchema.parse(document) }
  }
}
