import type { Side } from '#model/common'
import { between, cross, lengthOf, minus, plus, scaled } from '#core/figure'
import type { Frame, Point3, Skeleton } from '#core/figure'
import { bead } from './part.ts'
import type { Bead, BodyPart } from './part.ts'
import { bearing, directed, moved, squareTo } from './vectors.ts'
import type { Bearing } from './vectors.ts'

type Joints = Skeleton[Side]

/** How thick a limb is and how far its middle lies before the bone, along it, as shares of the stature [estimates]. */
type Profile = readonly (readonly [along: number, r: number, before: number])[]
const thighProfile: Profile = [
  [0, 0.052, 0],
  [0.2, 0.051, 0.003],
  [0.45, 0.0465, 0.006],
  [0.7, 0.039, 0.004],
  [0.88, 0.0335, 0.001],
  [1, 0.0325, 0],
]
const shankProfile: Profile = [
  [0, 0.0325, 0],
  [0.1, 0.031, -0.004],
  [0.3, 0.0315, -0.009],
  [0.5, 0.027, -0.006],
  [0.72, 0.0205, -0.002],
  [0.9, 0.0175, 0],
  [1, 0.0185, 0],
]
const upperArmProfile: Profile = [
  [0, 0.034, 0],
  [0.25, 0.0305, 0],
  [0.6, 0.0265, 0.001],
  [1, 0.0235, 0],
]
const forearmProfile: Profile = [
  [0, 0.0235, 0],
  [0.2, 0.0255, 0],
  [0.55, 0.021, 0],
  [0.88, 0.016, 0],
  [1, 0.016, 0],
]

const along = (profile: Profile, a: Point3, b: Point3, front: Point3, h: number): Bead[] =>
  profile.map(([share, r, before]) => bead(moved(between(a, b, share), [front, before * h]), r * h))

/** Thigh and lower leg, whose knee bends to its back, and the foot on it. */
export function legOf(skeleton: Skeleton, side: Side, f: Frame, pelvis: Bearing): readonly BodyPart[] {
  const joints = skeleton[side]
  const { hip, knee, ankle } = joints
  const h = f.stature
  const { thigh, shank } = legBearings(joints, pelvis)
  const kneecap = bead(moved(knee, [directed(plus(thigh.front, shank.front), thigh.front), 0.011 * h]), 0.0225 * h)
  return [
    {
      name: 'thigh',
      side,
      strings: [
        along(thighProfile, hip, knee, thigh.front, h),
        [kneecap],
        [bead(hip, f.thighR), bead(knee, f.kneeR * 0.93)],
      ],
      joints: [bead(hip, 0.085 * h), bead(knee, 0.05 * h)],
    },
    {
      name: 'lowerLeg',
      side,
      strings: [along(shankProfile, knee, ankle, shank.front, h), ...footOf(joints, shank, f)],
      joints: [bead(knee, 0.05 * h)],
    },
  ]
}

/** How thigh and shank are turned: fronts away from where the knee bends to; of a straight leg as the foot points. */
function legBearings({ hip, knee, ankle, toe }: Joints, pelvis: Bearing): { thigh: Bearing; shank: Bearing } {
  const thighAxis = directed(minus(knee, hip), pelvis.along)
  const shankAxis = directed(minus(ankle, knee), thighAxis)
  const bend = squareTo(shankAxis, thighAxis)
  const toes = squareTo(directed(minus(toe, ankle), thighAxis), shankAxis)
  // The more the knee is bent the more it says; the foot and the pelvis say the rest.
  const front = plus(
    scaled(bend, -4),
    plus(scaled(toes, lengthOf(bend) < 0.25 ? 1 : 0), scaled(squareTo(pelvis.front, thighAxis), 0.05)),
  )
  const thigh = bearing(thighAxis, front, pelvis.front)
  // About the knee's own axis the front of the shank follows that of the thigh.
  const hinge = thigh.right
  return { thigh, shank: bearing(shankAxis, cross(shankAxis, hinge), thigh.front) }
}

/** A foot of its true length: heel, ball and toes on one sole, and the instep down from the ankle. */
function footOf({ ankle, toe }: Joints, shank: Bearing, f: Frame): Bead[][] {
  const h = f.stature
  const ahead = directed(minus(toe, ankle), shank.front)
  // Down to the sole: away from the shank; of a pointed foot, as the calf is.
  const down = directed(
    plus(squareTo(shank.along, ahead), scaled(squareTo(shank.front, ahead), -0.2)),
    scaled(shank.front, -1),
  )
  const aside = cross(ahead, down)
  const heel = moved(ankle, [down, f.ankleH - 0.0185 * h], [ahead, -0.012 * h])
  const ball = (by: number): Point3 => moved(toe, [ahead, -0.03 * h], [aside, by * h])
  const tip = (by: number): Point3 => moved(toe, [ahead, -0.003 * h], [aside, by * h])
  const instep = bead(moved(between(ankle, toe, 0.4), [down, -0.001 * h]), 0.0185 * h)
  return [
    [bead(heel, 0.0185 * h), bead(ball(-0.012), 0.0145 * h), bead(tip(-0.01), 0.0115 * h)],
    [bead(heel, 0.0185 * h), bead(ball(0.012), 0.0145 * h), bead(tip(0.01), 0.0125 * h)],
    [bead(ankle, 0.0185 * h), instep, bead(ball(0), 0.015 * h)],
    [bead(ankle, 0.018 * h), bead(heel, 0.0175 * h)],
  ]
}

/** Upper arm, forearm and hand; `hand` is where the hand points. */
export function armOf(skeleton: Skeleton, side: Side, f: Frame, hand: Bearing): readonly BodyPart[] {
  const { shoulder, elbow, wrist } = skeleton[side]
  const h = f.stature
  return [
    {
      name: 'upperArm',
      side,
      strings: [along(upperArmProfile, shoulder, elbow, hand.front, h)],
      joints: [bead(shoulder, 0.05 * h), bead(elbow, 0.05 * h)],
    },
    {
      name: 'forearm',
      side,
      strings: [along(forearmProfile, elbow, wrist, hand.front, h), ...handOf(wrist, hand, f)],
      joints: [bead(elbow, 0.055 * h)],
    },
  ]
}

/** The length of a hand, and of its palm, as shares of the stature [estimates]. */
export const handLength = 0.106
const palmLength = 0.055

/** A hand with its palm to the front of its bearing, the fingers together. */
function handOf(wrist: Point3, { along: ahead, front, right }: Bearing, { stature: h }: Frame): Bead[][] {
  const at = (by: number, aside: number, before = 0): Point3 =>
    moved(wrist, [ahead, by * h], [right, aside * h], [front, before * h])
  return [
    [
      bead(at(0, 0), 0.0155 * h),
      bead(at(0.02, -0.01), 0.012 * h),
      bead(at(palmLength, -0.013), 0.011 * h),
      bead(at(0.085, -0.01), 0.0085 * h),
      bead(at(handLength - 0.008, -0.006), 0.007 * h),
    ],
    [
      bead(at(0, 0), 0.0155 * h),
      bead(at(0.02, 0.01), 0.012 * h),
      bead(at(palmLength, 0.012), 0.011 * h),
      bead(at(0.083, 0.01), 0.0085 * h),
      bead(at(handLength - 0.012, 0.006), 0.007 * h),
    ],
    [
      bead(at(0.012, 0.008), 0.012 * h),
      bead(at(0.035, 0.022, 0.008), 0.0095 * h),
      bead(at(0.06, 0.027, 0.012), 0.007 * h),
    ],
  ]
}
