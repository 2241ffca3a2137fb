import type { Piece } from '#core/props'
import { cosOf, sinOf } from './plane.ts'
import type { Point, Point3 } from './plane.ts'

/** A convex outline seen from the side, counterclockwise, rounded: everything within `radius` of its core. */
export interface Shape {
  readonly core: readonly Point[]
  readonly radius: number
}

/** Signed distance of a point from a shape in cm: negative inside. */
export function distanceTo({ core, radius }: Shape, { x, y }: Point): number {
  let nearest = Infinity
  let inside = core.length > 2
  for (let at = 0; at < core.length; at += 1) {
    const a = core[at]
    const b = core[(at + 1) % core.length]
    if (!a || !b) continue
    const [dx, dy] = [b.x - a.x, b.y - a.y]
    const [px, py] = [x - a.x, y - a.y]
    const squared = dx * dx + dy * dy
    const share = squared === 0 ? 0 : Math.max(0, Math.min(1, (px * dx + py * dy) / squared))
    nearest = Math.min(nearest, Math.hypot(px - share * dx, py - share * dy))
    if (dx * py - dy * px < 0) inside = false
  }
  return (inside ? -nearest : nearest) - radius
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

/** How thick the seat of a chair is: what is under it is free, cm [estimate]. */
const seatThickness = 4

/** A piece that lies centred on a surface, `h` cm high under its load. Of a chair only the seat is in the way. */
export function shapeOn(surface: Surface, piece: Pick<Piece, 'along' | 'roundSeen' | 'rank' | 'kind'>, h: number): Shape {
  if (piece.kind === 'chair') return shapeOn(surfaceAt(surface, 0, h - seatThickness), { ...piece, kind: 'book' }, seatThickness)
  const radius = piece.roundSeen ? h / 2 : Math.min(h / 2, piece.along / 2, edgeRadius[piece.rank])
  const halfAlong = piece.along / 2 - radius
  const corner = (along: number, above: number): Point => surfaceAt(surface, along, above)
  const [low, high] = [radius, h - radius]
  if (high - low < 1e-9) return { core: [corner(-halfAlong, low), corner(halfAlong, low)], radius }
  return { core: [corner(-halfAlong, low), corner(halfAlong, low), corner(halfAlong, high), corner(-halfAlong, high)], radius }
}

/** A bone with flesh: its radius tapers from one end to the other, in cm. */
export interface Limb {
  readonly a: Point3
  readonly b: Point3
  readonly ra: number
  readonly rb: number
}
