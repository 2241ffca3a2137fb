import { contours } from 'd3-contour'
import simplify from 'simplify-js'
import type { Field } from './field.ts'

/** A point of a picture in cm: u to the right, v up. */
export interface Flat {
  readonly u: number
  readonly v: number
}

/** The outlines of a field: closed rings that cross neither themselves nor each other. */
export function outlinesOf({ left, low, cell, across, rows, depths }: Field): readonly (readonly Flat[])[] {
  const { coordinates } = contours()
    .size([across, rows])
    .contour(depths as unknown as number[], 0)
  return coordinates
    .flat()
    .map((ring) => ring.slice(1).map(([x = 0, y = 0]) => ({ u: left + (x - 0.5) * cell, v: low + (y - 0.5) * cell })))
}

/** A line with no more points than it needs to stay within a tolerance, cm. */
export const thinned = (line: readonly Flat[], tolerance: number): readonly Flat[] =>
  simplify(
    line.map(({ u, v }) => ({ x: u, y: v })),
    tolerance,
    true,
  ).map(({ x, y }) => ({ u: x, v: y }))
