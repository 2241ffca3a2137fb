import { boundsOf } from '#core/figure'
import type { Elevation, PlacedProp } from '#core/figure'
import { isSeat } from '#core/props'
import { isBackAtRight } from './chair-lines.ts'
import { linePath, roundedPath } from './outlines.ts'
import type { Px } from './outlines.ts'
import type { DrawnShape, Layer, Plot } from './picture.ts'

/** How high a chair's back stands over its seat, and how thick it is, cm [estimates]. */
const back = { high: 40, rail: 4 } as const

/**
 * Props as they are seen from the right end (`turn` −1: the body's right side is at the left) or the left end (1), each
 * across its whole depth; of a chair the back is where it stands.
 */
export const propsFromTheEnd = (elevation: Elevation, plot: Plot, turn: 1 | -1): readonly Layer[] =>
  elevation.props.flatMap((prop, index): Layer[] => {
    const { left, right } = boundsOf(prop)
    const key = `${prop.part} ${String(index)}`
    const path = roundedPath(endRect(prop, plot, turn), prop.piece.rank === 0 ? 0.5 : 3)
    const lying: Layer = {
      near: (-turn * (left + right)) / 2 - 0.5,
      shapes: [{ key, is: 'prop', kind: prop.piece.kind, path }],
    }
    if (!isSeat(prop.piece)) return [lying]
    const backAt = isBackAtRight(prop, elevation) ? right : left
    const [legs, posts] = endFrames(prop, plot, turn)
    const frame = (lines: readonly (readonly Px[])[], what: string): readonly DrawnShape[] =>
      lines.map((line, at) => ({ key: `${key} ${what} ${String(at)}`, is: 'frame', path: linePath(line) }))
    return [
      { near: -turn * (left + right - backAt) - 0.5, shapes: frame(legs, 'leg') },
      lying,
      { near: -turn * backAt - 0.5, shapes: frame(posts, 'back') },
    ]
  })

const across = ({ zFrom, zTo }: PlacedProp, turn: 1 | -1): readonly [from: number, to: number] =>
  turn === 1 ? [zFrom, zTo] : [-zTo, -zFrom]

/** A prop from an end: its corners in the order outlines want them. */
export function endRect(prop: PlacedProp, { at }: Plot, turn: 1 | -1): readonly Px[] {
  const { low, high } = boundsOf(prop)
  const [from, to] = across(prop, turn)
  return [at({ x: from, y: low }), at({ x: to, y: low }), at({ x: to, y: high }), at({ x: from, y: high })]
}

type Lines = readonly (readonly Px[])[]

/** Of a chair two legs before, and two behind that go on as the posts of its back, with two rails. */
export function endFrames(prop: PlacedProp, { at }: Plot, turn: 1 | -1): readonly [legs: Lines, back: Lines] {
  if (!isSeat(prop.piece)) return [[], []]
  const [from, to] = across(prop, turn)
  const { low, high } = boundsOf(prop)
  const top = high + back.high
  const upright = (x: number, y: number) => [at({ x, y: 0 }), at({ x, y })]
  return [
    [from + 1, to - 1].map((x) => upright(x, low)),
    [
      ...[from + 1, to - 1].map((x) => upright(x, top)),
      ...[top, top - back.rail].map((y) => [at({ x: from + 1, y }), at({ x: to - 1, y })]),
    ],
  ]
}
