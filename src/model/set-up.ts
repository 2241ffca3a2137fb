import { z } from 'zod'
import { idSchema, lineSchema, nameSchema } from './common.ts'
import { propKindSchema } from './prop.ts'

export const foldOpSchema = z.union([
  z.strictObject({ op: z.enum(['halfL', 'halfW', 'thirdL', 'thirdW']) }),
  z.strictObject({ op: z.enum(['accordionL', 'accordionW']), n: z.int().min(2).max(12) }),
  z.strictObject({
    op: z.enum(['rollL', 'rollW']),
    packing: z.number().min(0.5).max(1).optional(),
    /** Core diameter in integer millimetres. */
    coreMm: z.int().min(0).max(500).optional(),
  }),
])
export type FoldOp = z.infer<typeof foldOpSchema>

export const bodyParts = [
  'head',
  'neck',
  'upperBack',
  'lowBack',
  'pelvis',
  'belly',
  'chest',
  'arms',
  'hands',
  'thighs',
  'knees',
  'shins',
  'ankles',
  'feet',
  'eyes',
] as const

export const setUpItemSchema = z.strictObject({
  id: idSchema,
  kind: propKindSchema,
  count: z.int().min(1).max(20),
  under: z.enum(bodyParts),
  folds: z.array(foldOpSchema).max(8).optional(),
  turn: z.enum(['flat', 'side', 'end', 'lengthwise', 'crosswise']).optional(),
  note: lineSchema.optional(),
})
export type SetUpItem = z.infer<typeof setUpItemSchema>

/** The arrangement of props for one hold, by body part from the floor up. */
export const setUpSchema = z.strictObject({
  id: idSchema,
  poseId: idSchema,
  name: nameSchema,
  extent: z.enum(['full', 'few', 'household']),
  items: z.array(setUpItemSchema).max(20),
  note: lineSchema.optional(),
})
export type SetUp = z.infer<typeof setUpSchema>
