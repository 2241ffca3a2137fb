import type { FigureView } from '#model/figure'
import { boundsOf } from '#core/figure'
import type { Elevation, PlacedProp } from '#core/figure'
import type { Solid } from './occupied.ts'
import type { Px } from './outlines.ts'
import type { Plot } from './picture.ts'

/** A number on a prop: its place in the order in which a set-up is laid, counted from 1. */
export interface DrawnNumber extends Px {
  readonly text: string
  /** How large its disc is, px. */
  readonly radius: number
}

/** How large the disc of a number is beside measures, and where it is read from two metres, px. */
export const numberRadii = { beside: 8, far: 13 } as const
/** How far a number stands inside the end of what it is on, cm at most. */
const inside = 5

/** The numbers of a set-up's items on what of them is laid: of several pieces on the first, none on another. */
export function numbersOf(
  { props }: Elevation,
  order: readonly string[],
  view: FigureView,
  plot: Plot,
  radius: number = numberRadii.beside,
): readonly DrawnNumber[] {
  const placed: DrawnNumber[] = []
  order.forEach((id, at) => {
    const prop = props.find(({ piece }) => piece.itemId === id)
    if (!prop) return
    placed.push({ text: String(at + 1), radius, ...beside(placed, plot.at(endOf(prop, view)), 2 * radius + 1) })
  })
  return placed
}

/** Numbers as labels keep off them. */
export const numberSolids = (numbers: readonly DrawnNumber[]): readonly Solid[] =>
  numbers.map(({ x, y, radius }) => ({ core: [{ x, y }], radius: radius + 1 }))

/** A little inside the end of a prop that is at the left in the picture. */
function endOf(prop: PlacedProp, view: FigureView): { readonly x: number; readonly y: number } {
  const { left, right, low, high } = boundsOf(prop)
  const { zFrom, zTo } = prop
  const [from, to] = view === 'leftEnd' ? [zFrom, zTo] : view === 'rightEnd' ? [-zTo, -zFrom] : ([left, right] as const)
  const x = from + Math.min(inside, (to - from) / 2)
  if (view !== 'above') return { x, y: (low + high) / 2 }
  return { x, y: -zTo + Math.min(inside, (zTo - zFrom) / 2) }
}

/** Where a number is wished, or as far to the right of it as leaves the others free. */
function beside(others: readonly Px[], wished: Px, apart: number): Px {
  let { x } = wished
  const { y } = wished
  while (others.some((other) => Math.hypot(other.x - x, other.y - y) < apart)) x += apart
  return { x, y }
}
