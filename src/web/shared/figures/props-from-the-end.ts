import { boundsOf } from '#core/figure'
import type { Elevation, PlacedProp } from '#core/figure'
import { isSeat } from '#core/props'
import { linePath, roundedPath } from './outlines.ts'
import type { Px } from './outlines.ts'
import type { DrawnShape, Layer, Plot } from './picture.ts'

/** How high a chair's back stands over its seat, and how thick it is, cm [estimates]. */
const back = { high: 40, rail: 4 } as const

/**
 * Props as they are seen from the right end (`turn` −1: the body's right side is at the left) or the left end (1), each
 * across its whole depth.
 */
export const propsFromTheEnd = ({ props }: Elevation, plot: Plot, turn: 1 | -1): readonly Layer[] =>
  props.map((prop, index) => {
    const { left, right } = boundsOf(prop)
    const key = `${prop.part} ${String(index)}`
    return {
      near: (-turn * (left + right)) / 2 - 0.5,
      shapes: [
        ...endFrames(prop, plot, turn).map((line, at): DrawnShape => ({
          ...{ key: `${key} frame ${String(at)}`, is: 'frame' },
          path: linePath(line),
        })),
        {
          ...{ key, is: 'prop', kind: prop.piece.kind },
          path: roundedPath(endRect(prop, plot, turn), prop.piece.rank === 0 ? 0.5 : 3),
        },
      ],
    }
  })

const across = ({ zFrom, zTo }: PlacedProp, turn: 1 | -1): readonly [from: number, to: number] =>
  turn === 1 ? [zFrom, zTo] : [-zTo, -zFrom]

/** A prop from an end: its corners in the order outlines want them. */
export function endRect(prop: PlacedProp, { at }: Plot, turn: 1 | -1): readonly Px[] {
  const { low, high } = boundsOf(prop)
  const [from, to] = across(prop, turn)
  return [at({ x: from, y: low }), at({ x: to, y: low }), at({ x: to, y: high }), at({ x: from, y: high })]
}

/** Of a chair two legs that go on as the posts of its back, and two rails. */
export function endFrames(prop: PlacedProp, { at }: Plot, turn: 1 | -1): readonly (readonly Px[])[] {
  if (!isSeat(prop.piece)) return []
  const [from, to] = across(prop, turn)
  const top = boundsOf(prop).high + back.high
  return [
    ...[from + 1, to - 1].map((x) => [at({ x, y: 0 }), at({ x, y: top })]),
    ...[top, top - back.rail].map((y) => [at({ x: from + 1, y }), at({ x: to - 1, y })]),
  ]
}
