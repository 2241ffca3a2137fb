import { z } from 'zod'
import { idSchema } from './common.ts'

/**
 * What somebody does in a block: the pose as it stands, another form of it, a set-up of it, another pose, natural breath
 * where breath is counted, or rest where the body is.
 */
export const formTakenSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('asItStands') }),
  z.strictObject({ kind: z.literal('variant'), variantId: idSchema }),
  z.strictObject({ kind: z.literal('setUp'), setUpId: idSchema }),
  z.strictObject({ kind: z.literal('pose'), poseId: idSchema, variantId: idSchema.optional() }),
  z.strictObject({ kind: z.literal('natural') }),
  z.strictObject({ kind: z.literal('rest') }),
])
export type FormTaken = z.infer<typeof formTakenSchema>
