import { dot } from '#core/figure'
import type { Point3 } from '#core/figure'

/** From where a body is seen: which way goes right and up in the picture, and which comes towards whoever looks. */
export interface View {
  readonly right: Point3
  readonly up: Point3
  readonly towards: Point3
}

/** A place in a picture in cm, and how near it is to whoever looks. */
export interface Seen {
  readonly u: number
  readonly v: number
  readonly near: number
}

export const fromTheRight: View = {
  right: { x: 1, y: 0, z: 0 },
  up: { x: 0, y: 1, z: 0 },
  towards: { x: 0, y: 0, z: 1 },
}
/** The head or feet as in the elevation; the right side of the body is below. */
export const fromAbove: View = {
  right: { x: 1, y: 0, z: 0 },
  up: { x: 0, y: 0, z: -1 },
  towards: { x: 0, y: 1, z: 0 },
}

export const seenFrom = ({ right, up, towards }: View, at: Point3): Seen => ({
  u: dot(at, right),
  v: dot(at, up),
  near: dot(at, towards),
})
