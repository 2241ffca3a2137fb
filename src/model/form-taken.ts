import { z } from 'zod'
import { idSchema } from './common.ts'

/**
 * What somebody does in a block: as it stands, changed as its cautions say, another form of the pose, a set-up of it, another pose (in breath work:
 * what one sits or lies in), natural breath where breath is counted, or rest where the body is.
 */
export const formTakenSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('asItStands') }),
  z.strictObject({ kind: z.literal('changed') }),
  z.strictObject({ kind: z.literal('variant'), variantId: idSchema }),
  z.strictObject({ kind: z.literal('setUp'), setUpId: idSchema }),
  z.strictObject({
    kind: z.literal('pose'),
    poseId: idSchema,
    variantId: idSchema.optional(),
    /** In breath work one is in it and breathes naturally; absent: as all do. */
    breath: z.literal('natural').optional(),
  }),
  z.strictObject({ kind: z.literal('natural') }),
  z.strictObject({ kind: z.literal('rest') }),
])
export type FormTaken = z.infer<typeof formTakenSchema>
