import type { PropKind } from '#model/prop'

/** What a height is built from where no cupboard is known: a few of what studios usually have. */
export const usualCupboard: readonly { readonly kind: PropKind; readonly count: number }[] = [
  { kind: 'rectBolster', count: 2 },
  { kind: 'blanket', count: 4 },
  { kind: 'foamBlock', count: 4 },
  { kind: 'longPillow', count: 2 },
  { kind: 'book', count: 4 },
]
