import { dot } from '#core/figure'
import type { Point3 } from '#core/figure'
import type { FigureView } from '#model/figure'

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

/** Each view of a figure. From the side the body's right side is near; from above the right side is below. */
export const views: Readonly<Record<FigureView, View>> = {
  side: { right: { x: 1, y: 0, z: 0 }, up: { x: 0, y: 1, z: 0 }, towards: { x: 0, y: 0, z: 1 } },
  above: { right: { x: 1, y: 0, z: 0 }, up: { x: 0, y: 0, z: -1 }, towards: { x: 0, y: 1, z: 0 } },
  rightEnd: { right: { x: 0, y: 0, z: -1 }, up: { x: 0, y: 1, z: 0 }, towards: { x: 1, y: 0, z: 0 } },
  leftEnd: { right: { x: 0, y: 0, z: 1 }, up: { x: 0, y: 1, z: 0 }, towards: { x: -1, y: 0, z: 0 } },
}

export const seenFrom = ({ right, up, towards }: View, at: Point3): Seen => ({
  u: dot(at, right),
  v: dot(at, up),
  near: dot(at, towards),
})
