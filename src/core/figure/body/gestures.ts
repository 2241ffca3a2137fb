import type { Figure } from '#model/figure'
import type { Frame } from './frame.ts'
import { cosOf, cross, lengthOf, middleJoint, minus, plus, reached, scaled, sinOf } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import type { SideJoints, Skeleton } from './skeleton.ts'

/** How far the trunk turns and bends, and the head leans, degrees; arms to places in shares of the stature [estimates]. */
const turns = { seated: 38, head: 24 } as const
const bends = { seated: 32, lying: 22, legs: 12 } as const

type Arm = Pick<SideJoints, 'shoulder' | 'elbow' | 'wrist'>
type Gesture = NonNullable<Figure['gesture']>

/** What the upper body of a solved figure does for the right side of its pose; every bone stays as long as it is. */
export function gestured(skeleton: Skeleton, f: Frame, gesture: Gesture | undefined): Skeleton {
  return gesture === undefined ? skeleton : does[gesture](skeleton, f)
}

const does: Readonly<Record<Gesture, (skeleton: Skeleton, f: Frame) => Skeleton>> = {
  turn: turned,
  sideBend: bentAside,
  crescent: bentLying,
  headAside: headAside,
  armsBehind: armsBehindBack,
  armThreaded: threaded,
  armsCrossedUnder: crossedUnder,
  armWide: oneWide,
}

const z: Point3 = { x: 0, y: 0, z: 1 }
const unit = (v: Point3): Point3 => scaled(v, 1 / (lengthOf(v) || 1))

/** Which way the rib cage points, faces and has its right. */
function ribsOf({ waist, shoulder, left, right }: Skeleton): { along: Point3; front: Point3; right: Point3 } {
  const along = unit(minus(shoulder, waist))
  const aside = minus(right.shoulder, left.shoulder)
  const front = unit(cross(along, lengthOf(aside) > 1e-6 ? aside : z))
  return { along, front, right: cross(front, along) }
}

/** A point turned about an axis of length one through another [rotation formula of Rodrigues]. */
function about(point: Point3, centre: Point3, axis: Point3, degrees: number): Point3 {
  const off = minus(point, centre)
  const along = off.x * axis.x + off.y * axis.y + off.z * axis.z
  return plus(
    centre,
    plus(
      plus(scaled(off, cosOf(degrees)), scaled(cross(axis, off), sinOf(degrees))),
      scaled(axis, along * (1 - cosOf(degrees))),
    ),
  )
}

const armMoved = ({ shoulder, elbow, wrist }: Arm, move: (point: Point3) => Point3): Arm => ({
  shoulder: move(shoulder),
  elbow: move(elbow),
  wrist: move(wrist),
})

/** An arm whose hand goes towards a place, the elbow towards a direction. */
function armTowards(f: Frame, shoulder: Point3, hand: Point3, bend: Point3): Arm {
  const wrist = reached(shoulder, hand, f.upperArm, f.forearm)
  return { shoulder, elbow: middleJoint(shoulder, wrist, f.upperArm, f.forearm, bend), wrist }
}

const at = (start: Point3, ...ways: readonly (readonly [Point3, number])[]): Point3 =>
  ways.reduce((point, [way, by]) => plus(point, scaled(way, by)), start)

/** Turned to the right: the right hand stays behind, the left comes to the right knee. */
function turned(skeleton: Skeleton, f: Frame): Skeleton {
  const { shoulder, left, right } = skeleton
  const { along } = ribsOf(skeleton)
  const move = (point: Point3): Point3 => about(point, shoulder, along, -turns.seated)
  const h = f.stature
  const knee = at(right.knee, [z, 0.01 * h])
  const behind = move(right.shoulder)
  const hand = { x: Math.min(right.wrist.x, skeleton.hip.x - 0.12 * h), y: right.wrist.y, z: 0.09 * h }
  return {
    ...skeleton,
    right: { ...right, ...armTowards(f, behind, hand, { x: -1, y: 0, z: 0.6 }) },
    left: {
      ...left,
      ...armTowards(f, move(left.shoulder), { ...knee, y: knee.y + f.kneeR + f.wristR }, { x: 0.3, y: -0.5, z: -1 }),
    },
  }
}

/** Bent to the right at the waist: the right hand stays on what it was on, the left arm goes over the head. */
function bentAside(skeleton: Skeleton, f: Frame): Skeleton {
  const { waist, right, left } = skeleton
  const { front } = ribsOf(skeleton)
  const move = (point: Point3): Point3 => about(point, waist, front, bends.seated)
  const bent = {
    ...skeleton,
    shoulder: move(skeleton.shoulder),
    crown: move(skeleton.crown),
    right: { ...right, ...armMoved(right, move) },
    left: { ...left, ...armMoved(left, move) },
  }
  const ribs = ribsOf(bent)
  const h = f.stature
  const over = at(bent.crown, [ribs.along, 0.09 * h], [ribs.right, 0.12 * h], [ribs.front, 0.02 * h])
  // A hand that lay before the hip, on the thigh, hangs down beside the seat.
  const down =
    right.wrist.x > skeleton.hip.x
      ? {
          x: right.wrist.x * 0.2,
          y: Math.max(f.wristR, bent.right.shoulder.y - (f.upperArm + f.forearm) * 0.98),
          z: bent.right.shoulder.z + 0.04 * h,
        }
      : right.wrist
  return {
    ...bent,
    right: { ...right, ...armTowards(f, bent.right.shoulder, down, { x: -0.2, y: 0, z: 1 }) },
    left: { ...left, ...armTowards(f, bent.left.shoulder, over, at(scaled(ribs.right, -1), [ribs.along, 0.6])) },
  }
}

/** Lying in a curve to the right: trunk, arms and legs each a little, on the floor as they were. */
function bentLying(skeleton: Skeleton): Skeleton {
  const { waist, left, right } = skeleton
  const up: Point3 = { x: 0, y: 1, z: 0 }
  const towardsHead = Math.sign(skeleton.crown.x - waist.x)
  const move = (point: Point3): Point3 => about(point, waist, up, -towardsHead * bends.lying)
  const leg = ({ hip, knee, ankle, toe }: SideJoints) => {
    const swing = (point: Point3): Point3 => about(point, hip, up, towardsHead * bends.legs)
    return { hip, knee: swing(knee), ankle: swing(ankle), toe: swing(toe) }
  }
  return {
    ...skeleton,
    shoulder: move(skeleton.shoulder),
    crown: move(skeleton.crown),
    right: { ...right, ...armMoved(right, move), ...leg(right) },
    left: { ...left, ...armMoved(left, move), ...leg(left) },
  }
}

/** The head leant towards the right shoulder. */
function headAside(skeleton: Skeleton): Skeleton {
  const { front } = ribsOf(skeleton)
  return { ...skeleton, crown: about(skeleton.crown, skeleton.shoulder, front, turns.head) }
}

/** The right arm up and bent down behind the neck, the left bent up behind the back. */
function armsBehindBack(skeleton: Skeleton, f: Frame): Skeleton {
  const { shoulder, left, right } = skeleton
  const ribs = ribsOf(skeleton)
  const h = f.stature
  const nape = at(shoulder, [ribs.front, -0.06 * h], [ribs.along, 0.01 * h])
  const back = at(shoulder, [ribs.front, -0.08 * h], [ribs.along, -0.13 * h])
  return {
    ...skeleton,
    right: { ...right, ...armTowards(f, right.shoulder, nape, at(ribs.along, [ribs.right, 0.3])) },
    left: { ...left, ...armTowards(f, left.shoulder, back, at(scaled(ribs.right, -1), [ribs.along, -0.8])) },
  }
}

/** The right arm threaded under the chest to the left along the floor, its shoulder down; the left reaches forward. */
function threaded(skeleton: Skeleton, f: Frame): Skeleton {
  const { right } = skeleton
  const hand = { x: right.shoulder.x + 0.05 * f.stature, y: f.wristR, z: -0.3 * f.stature }
  return { ...skeleton, right: { ...right, ...armTowards(f, right.shoulder, hand, { x: 1, y: -0.2, z: 0 }) } }
}

/** Both arms crossed under the chest, lying face down: the right before the left. */
function crossedUnder(skeleton: Skeleton, f: Frame): Skeleton {
  const { left, right } = skeleton
  const h = f.stature
  const hand = (side: 1 | -1, ahead: number): Point3 => ({
    x: skeleton.shoulder.x + ahead * h,
    y: f.wristR,
    z: side * -0.24 * h,
  })
  return {
    ...skeleton,
    right: { ...right, ...armTowards(f, right.shoulder, hand(1, 0.05), { x: 1, y: 0, z: 0 }) },
    left: { ...left, ...armTowards(f, left.shoulder, hand(-1, -0.02), { x: 1, y: 0, z: 0 }) },
  }
}

/** The right arm wide on the floor, at the height of its shoulder. */
function oneWide(skeleton: Skeleton, f: Frame): Skeleton {
  const { right } = skeleton
  const hand = { x: right.shoulder.x, y: f.wristR, z: right.shoulder.z + (f.upperArm + f.forearm) * 0.99 }
  return { ...skeleton, right: { ...right, ...armTowards(f, right.shoulder, hand, { x: 1, y: 0, z: 0 }) } }
}
