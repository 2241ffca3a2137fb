import type { Side } from '#model/common'
import type { Frame } from './frame.ts'
import { between, minus, plus, scaled } from './plane.ts'
import type { Point3 } from './plane.ts'
import type { Limb } from './shape.ts'

/** The joints of one side. */
export interface SideJoints {
  readonly hip: Point3
  readonly knee: Point3
  readonly ankle: Point3
  readonly toe: Point3
  readonly shoulder: Point3
  readonly elbow: Point3
  readonly wrist: Point3
}

/** A body at rest: the trunk's joints in the middle, and both sides. All in cm. */
export interface Skeleton {
  readonly hip: Point3
  readonly waist: Point3
  readonly shoulder: Point3
  readonly crown: Point3
  readonly left: SideJoints
  readonly right: SideJoints
}

export const sidesSeen = ['left', 'right'] as const satisfies readonly Side[]
/** The right side is the nearer one. */
export const towardsZ = (side: Side): 1 | -1 => (side === 'right' ? 1 : -1)

export const boneNames = ['lowTrunk', 'ribCage', 'neck', 'thigh', 'shank', 'foot', 'upperArm', 'forearm'] as const
export type BoneName = (typeof boneNames)[number]

/** A limb of the body, and the side it belongs to; the trunk has none. */
export interface Bone extends Limb {
  readonly name: BoneName
  readonly side?: Side
}

export const headCentre = ({ shoulder, crown }: Skeleton, frame: Frame): Point3 => between(shoulder, crown, frame.headAlong / frame.headNeck)

/** Every bone with its flesh. The neck ends at the crown; the head about its centre is a circle of its own. */
export function bonesOf(skeleton: Skeleton, f: Frame): readonly Bone[] {
  const { hip, waist, shoulder, crown } = skeleton
  const trunk: Bone[] = [
    { name: 'lowTrunk', a: hip, b: waist, ra: f.hipR, rb: f.waistR },
    { name: 'ribCage', a: waist, b: shoulder, ra: f.waistR, rb: f.chestR },
    { name: 'neck', a: shoulder, b: crown, ra: f.neckR, rb: f.neckR },
  ]
  return [...trunk, ...sidesSeen.flatMap((side) => limbsOf(skeleton[side], side, f))]
}

const limbsOf = (joints: SideJoints, side: Side, f: Frame): Bone[] => [
  { name: 'thigh', side, a: joints.hip, b: joints.knee, ra: f.thighR, rb: f.kneeR },
  { name: 'shank', side, a: joints.knee, b: joints.ankle, ra: f.kneeR, rb: f.heelR },
  { name: 'foot', side, a: joints.ankle, b: joints.toe, ra: f.heelR, rb: f.toeR },
  { name: 'upperArm', side, a: joints.shoulder, b: joints.elbow, ra: f.armR, rb: f.armR },
  { name: 'forearm', side, a: joints.elbow, b: joints.wrist, ra: f.armR, rb: f.wristR },
]

/** How long each bone is, in cm. */
export const boneLengths = (f: Frame): Readonly<Record<BoneName, number>> => ({
  lowTrunk: f.lowTrunk,
  ribCage: f.ribCage,
  neck: f.headNeck,
  thigh: f.thigh,
  shank: f.shank,
  foot: f.footLength,
  upperArm: f.upperArm,
  forearm: f.forearm,
})

const mirrored = (p: Point3): Point3 => ({ ...p, z: -p.z })
/** The joints of the other side of a symmetric shape. */
export const otherSide = (joints: SideJoints): SideJoints => ({
  hip: mirrored(joints.hip),
  knee: mirrored(joints.knee),
  ankle: mirrored(joints.ankle),
  toe: mirrored(joints.toe),
  shoulder: mirrored(joints.shoulder),
  elbow: mirrored(joints.elbow),
  wrist: mirrored(joints.wrist),
})

/** Every joint moved by the same way. */
export function moved(skeleton: Skeleton, by: Point3): Skeleton {
  const all = (joints: SideJoints): SideJoints => ({
    hip: plus(joints.hip, by),
    knee: plus(joints.knee, by),
    ankle: plus(joints.ankle, by),
    toe: plus(joints.toe, by),
    shoulder: plus(joints.shoulder, by),
    elbow: plus(joints.elbow, by),
    wrist: plus(joints.wrist, by),
  })
  const { hip, waist, shoulder, crown, left, right } = skeleton
  return { hip: plus(hip, by), waist: plus(waist, by), shoulder: plus(shoulder, by), crown: plus(crown, by), left: all(left), right: all(right) }
}

/** Where the skin of a bone is nearest the floor. */
export const lowest = ({ a, b, ra, rb }: Limb): number => Math.min(a.y - ra, b.y - rb)

/** A point on a bone, a share of the way. */
export const alongBone = ({ a, b }: Limb, share: number): Point3 => plus(a, scaled(minus(b, a), share))
