import { z } from 'zod'
import { idSchema, lineSchema, nameSchema } from './common.ts'
import { figureSchema } from './figure.ts'
import { propKindSchema } from './prop.ts'
import { mostItems } from './limits.ts'
import { told } from './refusal.ts'

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

/** `upturned` is of chairs: back and seat edge on the floor, its back a slope [settled A17]. */
export const propTurns = ['flat', 'side', 'end', 'lengthwise', 'crosswise', 'upturned'] as const
export type PropTurn = (typeof propTurns)[number]
export type BodyPart = (typeof bodyParts)[number]

const itemShape = z.strictObject({
  id: idSchema,
  kind: propKindSchema,
  count: z.int().min(1).max(20),
  /** The part it lies under, over or around; absent where it was only listed: it is fetched and counted, not placed. */
  under: z.enum(bodyParts).optional(),
  folds: z.array(foldOpSchema).max(8).optional(),
  turn: z.enum(propTurns).optional(),
  /** Equal piles the count is divided into, such as one under each knee; 1 where absent. */
  piles: z.int().min(1).max(2).optional(),
  /** Where it does not lie under the part: over it, round it, between its two sides, or behind it. */
  lies: z.enum(['over', 'around', 'between', 'behind']).optional(),
  note: lineSchema.optional(),
})

export const setUpItemSchema = itemShape.refine(({ count, piles = 1 }) => count % piles === 0, {
  path: ['count'],
  ...told('PILES_UNEVEN', {}),
})
export type SetUpItem = z.infer<typeof setUpItemSchema>

/** An item that has its place at the body. */
export type PlacedItem = SetUpItem & { readonly under: BodyPart }

/** How much it takes: all there is, little, or what a house has. */
export const extents = ['full', 'few', 'household'] as const

/** The arrangement of props for one hold, by body part from the floor up. */
export const setUpSchema = z.strictObject({
  id: idSchema,
  poseId: idSchema,
  /** The form it belongs to, where that is another position than the pose [settled A10]. */
  variantId: idSchema.optional(),
  name: nameSchema,
  extent: z.enum(extents),
  items: z.array(setUpItemSchema).max(mostItems),
  /** The form of the pose it is made for, where that is drawn otherwise than the pose. */
  figure: figureSchema.optional(),
  note: lineSchema.optional(),
})
export type SetUp = z.infer<typeof setUpSchema>
