import { cross, dot, lengthOf, minus, scaled } from '#core/figure'
import type { Point3 } from '#core/figure'

/** A direction as long as one; `other` where there is none. */
export function directed(v: Point3, other: Point3): Point3 {
  const length = lengthOf(v)
  return length > 1e-6 ? scaled(v, 1 / length) : other
}

/** What of a direction is square to an axis of length one. */
export const squareTo = (v: Point3, axis: Point3): Point3 => minus(v, scaled(axis, dot(v, axis)))

/** A point and ways added to it, each a direction and how far. */
export function moved(start: Point3, ...ways: readonly (readonly [direction: Point3, by: number])[]): Point3 {
  let { x, y, z } = start
  for (const [direction, by] of ways) {
    x += direction.x * by
    y += direction.y * by
    z += direction.z * by
  }
  return { x, y, z }
}

/** How a part of the body is turned: along it, to its front, and to the body's right. All of length one, square to each other. */
export interface Bearing {
  readonly along: Point3
  readonly front: Point3
  readonly right: Point3
}

/** A bearing from its axis and about where its front is. */
export function bearing(along: Point3, frontwards: Point3, other: Point3): Bearing {
  const front = directed(squareTo(frontwards, along), directed(squareTo(other, along), other))
  return { along, front, right: cross(front, along) }
}

/** A bearing between two others. */
export function turnedBetween(a: Bearing, b: Bearing, share: number): Bearing {
  const mixed = (from: Point3, to: Point3): Point3 => moved(scaled(from, 1 - share), [to, share])
  return bearing(directed(mixed(a.along, b.along), a.along), mixed(a.front, b.front), a.front)
}
