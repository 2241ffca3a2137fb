import { between, cross, lengthOf, minus, plus, scaled } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import type { Frame } from './frame.ts'
import type { Skeleton } from './skeleton.ts'

/** A round part of the body: its middle and its radius, cm. */
export interface Ball {
  readonly at: Point3
  readonly r: number
}

/**
 * A belly late in pregnancy, from the pubic bone to the lower ribs: how far above the hip joints, how far before the
 * line of the trunk, and how large, as shares of the stature [estimates: about 12 cm more before the trunk at term].
 */
const balls = [
  { above: 0.02, before: 0.012, r: 0.05 },
  { above: 0.055, before: 0.034, r: 0.068 },
  { above: 0.095, before: 0.046, r: 0.074 },
  { above: 0.135, before: 0.036, r: 0.066 },
  { above: 0.17, before: 0.014, r: 0.052 },
] as const

const z: Point3 = { x: 0, y: 0, z: 1 }
const unit = (v: Point3, other: Point3): Point3 => (lengthOf(v) > 1e-6 ? scaled(v, 1 / lengthOf(v)) : other)

/** The belly of a body late in pregnancy, from the pubic bone up, in cm. */
export function bellyOf({ hip, waist, shoulder, left, right }: Skeleton, f: Frame): readonly Ball[] {
  const front = (low: Point3, high: Point3, aside: Point3): Point3 =>
    unit(cross(minus(high, low), unit(aside, z)), { x: 0, y: 1, z: 0 })
  // The bend of the waist lies behind the belly: it faces between pelvis and ribs.
  const facing = unit(
    plus(front(hip, waist, minus(right.hip, left.hip)), front(waist, shoulder, minus(right.shoulder, left.shoulder))),
    front(hip, waist, minus(right.hip, left.hip)),
  )
  return balls.map(({ above, before, r }) => {
    const along = above * f.stature
    const spine =
      along <= f.lowTrunk
        ? between(hip, waist, along / f.lowTrunk)
        : between(waist, shoulder, (along - f.lowTrunk) / f.ribCage)
    return { at: plus(spine, scaled(facing, before * f.stature)), r: r * f.stature }
  })
}
