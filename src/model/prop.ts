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
] as const
export const propKindSchema = z.enum(propKinds)
export type PropKind = z.infer<typeof propKindSchema>
