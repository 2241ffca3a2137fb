import type { Side } from '#model/common'
import type { Frame } from './frame.ts'
import { between } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import type { Limb } from '../geometry/shape.ts'

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

type Trunk = Omit<Skeleton, Side>
type Legs = Readonly<Record<Side, Pick<SideJoints, 'hip' | 'knee' | 'ankle' | 'toe'>>>
type Arms = Readonly<Record<Side, Pick<SideJoints, 'shoulder' | 'elbow' | 'wrist'>>>

/** Trunk, legs and arms as one body. */
export const joined = ({ hip, waist, shoulder, crown }: Trunk, legs: Legs, arms: Arms): Skeleton => ({
  hip,
  waist,
  shoulder,
  crown,
  right: { ...legs.right, ...arms.right },
  left: { ...legs.left, ...arms.left },
})

const sidesSeen = ['left', 'right'] as const satisfies readonly Side[]

export type BoneName = 'lowTrunk' | 'ribCage' | 'neck' | 'thigh' | 'shank' | 'foot' | 'upperArm' | 'forearm'

/** A limb of the body, and the side it belongs to; the trunk has none. */
export interface Bone extends Limb {
  readonly name: BoneName
  readonly side?: Side
}

export const headCentre = ({ shoulder, crown }: Skeleton, frame: Frame): Point3 =>
  between(shoulder, crown, frame.headAlong / frame.headNeck)

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
