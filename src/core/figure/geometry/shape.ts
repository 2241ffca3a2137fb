import { isSeat } from '#core/props'
import type { Piece } from '#core/props'
import { cosOf, sinOf } from './plane.ts'
import type { Point, Point3 } from './plane.ts'

/** A convex outline seen from the side, counterclockwise, rounded: everything within `radius` of its core. */
export interface Shape {
  readonly core: readonly Point[]
  readonly radius: number
}

/** What is asked of a core again and again: its edges and its bounds, worked out once. */
interface Prepared {
  readonly edges: readonly {
    readonly x: number
    readonly y: number
    readonly dx: number
    readonly dy: number
    readonly squared: number
  }[]
  readonly left: number
  readonly right: number
  readonly low: number
  readonly high: number
}

const known = new WeakMap<readonly Point[], Prepared>()

function preparedOf(core: readonly Point[]): Prepared {
  const before = known.get(core)
  if (before) return before
  const edges = core.map(({ x, y }, at) => {
    const next = core[(at + 1) % core.length] ?? { x, y }
    const [dx, dy] = [next.x - x, next.y - y]
    return { x, y, dx, dy, squared: dx * dx + dy * dy }
  })
  const [xs, ys] = [core.map(({ x }) => x), core.map(({ y }) => y)]
  const prepared = { edges, left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) }
  known.set(core, prepared)
  return prepared
}

/** Signed distance of a point from a shape in cm: negative inside. */
export const distanceTo = ({ core, radius }: Shape, { x, y }: Point): number =>
  distanceFrom(preparedOf(core).edges, x, y) - radius

function distanceFrom(edges: Prepared['edges'], x: number, y: number): number {
  let nearest = Infinity
  let inside = edges.length > 2
  for (const edge of edges) {
    const px = x - edge.x
    const py = y - edge.y
    const along = edge.squared === 0 ? 0 : (px * edge.dx + py * edge.dy) / edge.squared
    const share = along < 0 ? 0 : along > 1 ? 1 : along
    const ox = px - share * edge.dx
    const oy = py - share * edge.dy
    const squared = ox * ox + oy * oy
    if (squared < nearest) nearest = squared
    if (edge.dx * py - edge.dy * px < 0) inside = false
  }
  return inside ? -Math.sqrt(nearest) : Math.sqrt(nearest)
}

/** How far a shape reaches: its bounds with its roundness, cm. */
export function boundsOf({ core, radius }: Shape): {
  readonly left: number
  readonly right: number
  readonly low: number
  readonly high: number
} {
  const { left, right, low, high } = preparedOf(core)
  return { left: left - radius, right: right + radius, low: low - radius, high: high + radius }
}

/** A bone with flesh: its radius tapers from one end to the other, in cm. */
export interface Limb {
  readonly a: Point3
  readonly b: Point3
  readonly ra: number
  readonly rb: number
}

/** At how many places along it a limb is looked at, besides its first end. */
export const samples = 10

/**
 * Whether a limb is at least `-sinks` from a shape at each of its places that lie within a depth of the picture; what
 * is far from the limb is not looked at.
 */
export function isFreeOf({ a, b, ra, rb }: Limb, shape: Shape, zFrom: number, zTo: number, sinks: number): boolean {
  if (Math.max(a.z, b.z) < zFrom || Math.min(a.z, b.z) > zTo) return true
  const reach = Math.max(ra, rb) + shape.radius
  const { edges, left, right, low, high } = preparedOf(shape.core)
  if (Math.max(a.x, b.x) + reach < left || Math.min(a.x, b.x) - reach > right) return true
  if (Math.max(a.y, b.y) + reach < low || Math.min(a.y, b.y) - reach > high) return true
  for (let at = 0; at <= samples; at += 1) {
    const share = at / samples
    const z = a.z + (b.z - a.z) * share
    if (z < zFrom || z > zTo) continue
    const apart = distanceFrom(edges, a.x + (b.x - a.x) * share, a.y + (b.y - a.y) * share)
    if (apart < ra + (rb - ra) * share + shape.radius - sinks) return false
  }
  return true
}

/** Somewhere to put things: a point and the direction of its surface in degrees; what lies on it rises to its left. */
export interface Surface extends Point {
  readonly degrees: number
}

export const floorAt = (x: number): Surface => ({ x, y: 0, degrees: 0 })

/** The surface moved along itself and away from itself. */
export const surfaceAt = ({ x, y, degrees }: Surface, along: number, above: number): Surface => ({
  x: x + along * cosOf(degrees) - above * sinOf(degrees),
  y: y + along * sinOf(degrees) + above * cosOf(degrees),
  degrees,
})

/** How round the edges of what is rigid, firm or soft are, in cm [estimates]. */
const edgeRadius = { 0: 0.5, 1: 5.5, 2: 1.6 } as const
/** A filled pillow has no edges, a folded sheet has. */
const pillowRadius = 6

/** How thick the seat of a chair is: what is under it is free, cm [estimate]. */
const seatThickness = 4

/** A piece that lies centred on a surface, `h` cm high under its load. Of a chair only the seat is in the way. */
export function shapeOn(
  surface: Surface,
  piece: Pick<Piece, 'along' | 'roundSeen' | 'rank' | 'kind' | 'leanDeg'>,
  h: number,
): Shape {
  if (isSeat(piece)) return shapeOn(surfaceAt(surface, 0, h - seatThickness), { ...piece, kind: 'book' }, seatThickness)
  const radius = piece.roundSeen
    ? h / 2
    : Math.min(h / 2, piece.along / 2, piece.kind === 'longPillow' ? pillowRadius : edgeRadius[piece.rank])
  const halfAlong = piece.along / 2 - radius
  const corner = (along: number, above: number): Point => surfaceAt(surface, along, above)
  const [low, high] = [radius, h - radius]
  if (high - low < 1e-9) return { core: [corner(-halfAlong, low), corner(halfAlong, low)], radius }
  return {
    core: [corner(-halfAlong, low), corner(halfAlong, low), corner(halfAlong, high), corner(-halfAlong, high)],
    radius,
  }
}
