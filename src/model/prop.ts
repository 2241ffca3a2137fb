import { z } from 'zod'

export const propKinds = [
  'roundBolster',
  'rectBolster',
  'foamBlock',
  'corkBlock',
  'blanket',
  'seatCushion',
  'halfMoonCushion',
  'ringHeadRest',
  'strap',
  'chair',
  'sandbag',
  'eyePillow',
  'wall',
  'mattress',
  'longPillow',
  'towel',
  'book',
  'mat',
  'belt',
  'scarf',
  'sofa',
  'door',
] as const
export const propKindSchema = z.enum(propKinds)
export type PropKind = z.infer<typeof propKindSchema>

/** What a prop is for the sums: a box or a cylinder of its own size, a sheet to fold, or something that carries nothing. */
export const propShapes = ['box', 'cylinder', 'sheet', 'chair', 'wall', 'none'] as const

/**
 * A kind of prop with its usual size in cm; a cupboard's own sizes stand before it. A sheet's `heightCm` is one
 * layer as it lies, `loadedCm` one layer under a body. Rank 0 is rigid, 1 firm, 2 soft.
 */
export const propSpecSchema = z.strictObject({
  kind: propKindSchema,
  shape: z.enum(propShapes),
  lengthCm: z.number().min(0),
  widthCm: z.number().min(0),
  heightCm: z.number().min(0),
  loadedCm: z.number().positive().optional(),
  /** How far makers differ, in cm. */
  spreadCm: z.strictObject({ length: z.number(), width: z.number(), height: z.number() }),
  material: z.string(),
  rolledMaterial: z.string().optional(),
  rank: z.union([z.literal(0), z.literal(1), z.literal(2)]),
  massKg: z.number().positive().optional(),
})
export type PropSpec = z.infer<typeof propSpecSchema>
