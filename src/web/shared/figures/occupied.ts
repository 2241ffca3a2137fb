import type { Px } from './outlines.ts'

/** A rectangle of the drawing, px. */
export interface Box {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

/** What takes up room: everything within `radius` px of a core of one, two or more corners. */
export interface Solid {
  readonly core: readonly Px[]
  readonly radius: number
}

export const overlap = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom

const within = ({ left, top, right, bottom }: Box, { x, y }: Px): boolean =>
  x >= left && x <= right && y >= top && y <= bottom

function distanceToSegment({ x, y }: Px, a: Px, b: Px): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const squared = dx * dx + dy * dy
  const share = squared === 0 ? 0 : Math.max(0, Math.min(1, ((x - a.x) * dx + (y - a.y) * dy) / squared))
  return Math.hypot(x - a.x - share * dx, y - a.y - share * dy)
}

/** Whether two segments meet. */
export function segmentsMeet(a: Px, b: Px, c: Px, d: Px): boolean {
  const side = (p: Px, q: Px, r: Px): number => (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x)
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0
}

const cornersOf = ({ left, top, right, bottom }: Box): readonly Px[] => [
  { x: left, y: top },
  { x: right, y: top },
  { x: right, y: bottom },
  { x: left, y: bottom },
]
const edgesOf = (core: readonly Px[]): readonly (readonly [Px, Px])[] =>
  core.map((from, index) => [from, core[(index + 1) % core.length] ?? from])

function isInside({ x, y }: Px, core: readonly Px[]): boolean {
  let inside = false
  for (const [a, b] of edgesOf(core)) {
    if (a.y > y !== b.y > y && x < a.x + ((y - a.y) * (b.x - a.x)) / (b.y - a.y)) inside = !inside
  }
  return inside
}

/** Whether a segment runs through a rectangle. */
export const crosses = (a: Px, b: Px, box: Box): boolean =>
  within(box, a) || within(box, b) || edgesOf(cornersOf(box)).some(([c, d]) => segmentsMeet(a, b, c, d))

/** Thinner than this what goes round a core is taken as square, px. */
const hairline = 3

export const grown = ({ left, top, right, bottom }: Box, by: number): Box => ({
  left: left - by,
  top: top - by,
  right: right + by,
  bottom: bottom + by,
})

const outlineMeets = (core: readonly Px[], edges: readonly (readonly [Px, Px])[], box: Box): boolean =>
  core.some((corner) => within(box, corner)) ||
  (core.length > 2 && isInside({ x: box.left, y: box.top }, core)) ||
  edges.some(([a, b]) => couldCross(a, b, box) && crosses(a, b, box))

const couldCross = (a: Px, b: Px, { left, top, right, bottom }: Box): boolean =>
  (a.x >= left || b.x >= left) &&
  (a.x <= right || b.x <= right) &&
  (a.y >= top || b.y >= top) &&
  (a.y <= bottom || b.y <= bottom)

/** Whether a rectangle and something solid share any room. */
export function covers({ core, radius }: Solid, box: Box): boolean {
  const edges = edgesOf(core)
  // Next to nothing round an outline makes no round corner worth finding.
  if (radius < hairline) return outlineMeets(core, edges, grown(box, radius))
  const corners = cornersOf(box)
  if (core.some((corner) => within(box, corner))) return true
  if (core.length > 2 && isInside({ x: box.left, y: box.top }, core)) return true
  if (edges.some(([a, b]) => crosses(a, b, box))) return true
  const nearCorner = corners.some((corner) => edges.some(([a, b]) => distanceToSegment(corner, a, b) < radius))
  return (
    nearCorner || core.some((corner) => edgesOf(corners).some(([a, b]) => distanceToSegment(corner, a, b) < radius))
  )
}
