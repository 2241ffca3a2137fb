import type { Side } from '#model/common'
import { clearance, minus } from '#core/figure'
import type { Frame, PlacedProp, Point3, Skeleton } from '#core/figure'
import { handLength } from './limbs.ts'
import { bearing, directed, moved } from './vectors.ts'
import type { Bearing } from './vectors.ts'

/** How far a wrist bends to either side, and how far a hand that lies on nothing hangs from it, degrees [estimates]. */
const wristBends = 75
const hangs = 20
/** A wrist this near to what is under it, as a share of the stature, has its hand lie there. */
const nearBy = 0.035
const step = 3

const down: Point3 = { x: 0, y: -1, z: 0 }

/** How a hand is turned: laid flat on the floor or on what carries it, let hang where it hangs, else on with the forearm. */
export function handBearing(skeleton: Skeleton, side: Side, f: Frame, props: readonly PlacedProp[]): Bearing {
  const { elbow, wrist } = skeleton[side]
  const h = f.stature
  const arm = directed(minus(wrist, elbow), down)
  const level = directed({ x: arm.x, y: 0, z: arm.z }, { x: 1, y: 0, z: 0 })
  const above = (Math.asin(Math.max(-1, Math.min(1, arm.y))) * 180) / Math.PI
  const ahead = (degrees: number): Point3 => {
    const turn = (degrees * Math.PI) / 180
    return { x: level.x * Math.cos(turn), y: Math.sin(turn), z: level.z * Math.cos(turn) }
  }
  const free = (degrees: number): boolean =>
    clearance({ a: wrist, b: moved(wrist, [ahead(degrees), handLength * h]), ra: 0.008 * h, rb: 0.008 * h }, props) >=
    -0.2
  const isNear = clearance({ a: wrist, b: wrist, ra: f.wristR, rb: f.wristR }, props) < nearBy * h
  const lowest = Math.max(-90, above - (isNear ? wristBends : hangs))
  const highest = Math.min(90, above + wristBends)
  let laid = lowest
  while (laid < highest && !free(laid)) laid += step
  const along = laid >= highest ? arm : ahead(laid)
  const inwards: Point3 = { x: 0, y: 0, z: side === 'right' ? -1 : 1 }
  return bearing(along, Math.abs(along.y) > 0.85 ? inwards : down, inwards)
}
