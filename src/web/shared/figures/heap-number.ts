import type { Elevation, Heap } from '#core/figure'
import { addingNumbers, lengthNumber } from '#words/lengths'
import type { LengthUnit } from '#words/lengths'

/** A heap counts as what its pieces come to up to this difference, cm: what lies aslant may not. */
const sameCm = 0.05

/** How high a heap is shown to be: rounded so that what lies on it and under it in one pile adds up, as in the list beside it. */
export function heapNumber(
  { part, props, height }: Heap,
  { piles }: Pick<Elevation, 'piles'>,
  unit: LengthUnit,
): string {
  const ids = new Set(props.map(({ piece }) => piece.itemId))
  const isIn = ({ itemId }: { readonly itemId: string }): boolean => ids.has(itemId)
  const pile = piles.find((one) => one.part === part && one.pieces.some(isIn))
  const pieces = pile?.pieces ?? []
  const sum = (some: typeof pieces): number => some.reduce((all, { loaded }) => all + loaded, 0)
  const own = sum(pieces.filter(isIn))
  if (Math.abs(own - height) > sameCm) return lengthNumber(height, unit)
  return addingNumbers([sum(pieces.slice(0, pieces.findIndex(isIn))), own], unit)[1] ?? lengthNumber(height, unit)
}
