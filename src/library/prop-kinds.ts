import type { PropKind, PropSpec } from '#model/prop'

type Told = readonly [
  shape: PropSpec['shape'],
  size: readonly [length: number, width: number, height: number],
  spread: readonly [length: number, width: number, height: number],
  material: string,
  rank: PropSpec['rank'],
  more?: Pick<PropSpec, 'loadedCm' | 'rolledMaterial' | 'massKg'>,
]

/** Usual sizes in cm of what studios and houses have, and how far makers differ [formula book 1]. */
const told: Readonly<Record<PropKind, Told>> = {
  roundBolster: ['cylinder', [66, 22, 22], [4, 2, 2], 'boltRound', 1],
  rectBolster: ['box', [66, 30, 15], [3, 3, 2], 'boltRect', 1],
  foamBlock: ['box', [23, 15, 10], [1, 1, 2.5], 'foamBlock', 0],
  corkBlock: ['box', [22.5, 12, 7.5], [1, 3, 2.5], 'cork', 0],
  blanket: [
    'sheet',
    [200, 150, 0.7],
    [20, 15, 0.2],
    'blanket',
    2,
    { loadedCm: 0.5, rolledMaterial: 'blanketRoll', massKg: 1.8 },
  ],
  seatCushion: ['box', [33, 33, 15], [3, 3, 3], 'cushion', 1],
  halfMoonCushion: ['box', [43, 25, 11], [3, 3, 2], 'halfMoon', 1],
  ringHeadRest: ['box', [28, 28, 6], [3, 3, 2], 'ring', 2],
  strap: ['none', [250, 4, 0.2], [70, 0, 0], 'rigid', 2],
  chair: ['chair', [40, 40, 45], [4, 4, 3], 'rigid', 0],
  sandbag: ['box', [43, 18, 5], [0, 0, 0], 'sandbag', 2, { massKg: 4.5 }],
  eyePillow: ['box', [22, 10, 2.5], [2, 1, 0], 'eyePillow', 2, { massKg: 0.2 }],
  wall: ['wall', [0, 0, 200], [0, 0, 0], 'rigid', 0],
  mattress: ['box', [200, 90, 20], [0, 45, 5], 'mattress', 1],
  longPillow: ['box', [140, 35, 12], [20, 5, 3], 'longPillow', 2],
  towel: ['sheet', [140, 70, 0.35], [20, 10, 0.1], 'towel', 2, { loadedCm: 0.25, rolledMaterial: 'blanketRoll' }],
  book: ['box', [24, 17, 2.5], [5, 4, 2], 'rigid', 0],
  mat: ['none', [173, 61, 0.5], [27, 5, 0.2], 'rigid', 2],
  // What a house has in a strap's, an eye pillow's, a chair's and a wall's place [estimates].
  belt: ['none', [110, 3, 0.3], [30, 1, 0], 'rigid', 2],
  scarf: ['none', [180, 60, 0.1], [30, 30, 0], 'rigid', 2],
  sofa: ['chair', [55, 160, 45], [10, 40, 5], 'rigid', 0],
  door: ['wall', [0, 0, 200], [0, 0, 0], 'rigid', 0],
}

export const propKinds: Readonly<Record<PropKind, PropSpec>> = Object.fromEntries(
  Object.entries(told).map(
    ([kind, [shape, [lengthCm, widthCm, heightCm], [length, width, height], material, rank, more]]) => [
      kind,
      { kind, shape, lengthCm, widthCm, heightCm, spreadCm: { length, width, height }, material, rank, ...more },
    ],
  ),
) as Record<PropKind, PropSpec>

/** The folds teachers name [formula book 2], with their operations. */
export const namedFolds = {
  open: [],
  single: [{ op: 'halfL' }],
  longHalf: [{ op: 'halfW' }],
  quarter: [{ op: 'halfL' }, { op: 'halfW' }],
  longStrip: [{ op: 'halfW' }, { op: 'halfW' }],
  standard: [{ op: 'halfL' }, { op: 'halfW' }, { op: 'halfL' }],
  narrow: [{ op: 'halfL' }, { op: 'halfW' }, { op: 'halfL' }, { op: 'halfL' }],
  square: [{ op: 'halfL' }, { op: 'halfW' }, { op: 'halfL' }, { op: 'halfW' }],
  thirds: [{ op: 'halfL' }, { op: 'halfW' }, { op: 'halfL' }, { op: 'thirdW' }],
  spinePad: [{ op: 'halfL' }, { op: 'halfW' }, { op: 'thirdW' }],
  spineAccordion: [{ op: 'halfL' }, { op: 'halfW' }, { op: 'accordionW', n: 4 }],
  roll: [{ op: 'halfL' }, { op: 'halfW' }, { op: 'rollL' }],
  thinRoll: [{ op: 'halfL' }, { op: 'rollL' }],
  shortRoll: [{ op: 'halfW' }, { op: 'halfW' }, { op: 'rollL' }],
} as const
export type FoldName = keyof typeof namedFolds
