import { boundsOf } from '#core/figure'
import type { Elevation, PlacedProp } from '#core/figure'
import { roundedPath } from './outlines.ts'
import type { Px } from './outlines.ts'
import type { DrawnShape, Layer, Plot } from './picture.ts'

/** Props as they are seen from above; what begins above a part of the body lies over it. */
export const propsFromAbove = ({ props }: Elevation, plot: Plot): readonly Layer[] =>
  props.map((prop, index) => ({
    near: boundsOf(prop).low,
    shapes: [
      {
        ...{ key: `${prop.part} ${String(index)}`, is: 'prop', kind: prop.piece.kind },
        path: roundedPath(cornersAbove(prop, plot), 2),
      },
    ],
  }))

/** What the body covers is seen through it. */
export const throughBody = ({ props }: Elevation, plot: Plot): readonly DrawnShape[] =>
  props.map((prop, index) => ({
    ...{ key: `${prop.part} ${String(index)} through`, is: 'through' },
    path: roundedPath(cornersAbove(prop, plot), 2),
  }))

/** The rectangle of a prop from above, its corners in the order outlines want them; the body's right side is below. */
export function cornersAbove(prop: PlacedProp, { at }: Plot): readonly Px[] {
  const { left, right } = boundsOf(prop)
  return [
    at({ x: left, y: -prop.zTo }),
    at({ x: right, y: -prop.zTo }),
    at({ x: right, y: -prop.zFrom }),
    at({ x: left, y: -prop.zFrom }),
  ]
}
