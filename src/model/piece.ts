import { z } from 'zod'
import { idSchema, nameSchema } from './common.ts'
import { anyBlockSchema } from './lift.ts'

/** Blocks the teacher kept under a name; put into a session they are ordinary blocks. */
export const pieceSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  blocks: z.array(anyBlockSchema).min(1).max(100),
})
export type Piece = z.infer<typeof pieceSchema>
