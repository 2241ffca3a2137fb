import { bellyOf, between, minus } from '#core/figure'
import type { Elevation, Frame, Point3, Skeleton } from '#core/figure'
import { bead } from './part.ts'
import type { Bead, BodyPart } from './part.ts'
import { bearing, directed, moved, turnedBetween } from './vectors.ts'
import type { Bearing } from './vectors.ts'

/**
 * Cross-sections of the trunk from below the hip joints to the neck, as shares of the stature [estimates]: how far
 * along, half its depth and half its width, and how far its middle lies before the line of the joints.
 */
const sections = [
  { along: -0.022, depth: 0.046, width: 0.078, before: -0.014 },
  { along: 0, depth: 0.057, width: 0.09, before: -0.012 },
  { along: 0.035, depth: 0.056, width: 0.089, before: -0.006 },
  { along: 0.075, depth: 0.05, width: 0.08, before: 0.002 },
  { along: 0.115, depth: 0.046, width: 0.072, before: 0.005 },
  { along: 0.15, depth: 0.046, width: 0.072, before: 0.003 },
  { along: 0.19, depth: 0.053, width: 0.078, before: 0.002 },
  { along: 0.225, depth: 0.057, width: 0.083, before: 0.004 },
  { along: 0.258, depth: 0.0535, width: 0.08, before: 0.001 },
  { along: 0.284, depth: 0.048, width: 0.07, before: -0.002 },
] as const

/** How far from the waist the back begins to bend, as a share of the stature [estimate]. */
const bendReach = 0.07

const z: Point3 = { x: 0, y: 0, z: 1 }

/** The turns of the pelvis and of the rib cage. */
export function trunkBearings({ hip, waist, shoulder, left, right }: Skeleton): { pelvis: Bearing; ribs: Bearing } {
  const turned = (from: Point3, to: Point3, aside: Point3): Bearing => {
    const along = directed(minus(to, from), { x: 0, y: 1, z: 0 })
    return bearing(along, frontOf(along, directed(aside, z)), { x: 0, y: 1, z: 0 })
  }
  return {
    pelvis: turned(hip, waist, minus(right.hip, left.hip)),
    ribs: turned(waist, shoulder, minus(right.shoulder, left.shoulder)),
  }
}

const frontOf = (along: Point3, aside: Point3): Point3 => ({
  x: along.y * aside.z - along.z * aside.y,
  y: along.z * aside.x - along.x * aside.z,
  z: along.x * aside.y - along.y * aside.x,
})

/** The trunk with the roots of the neck and of the shoulders, bent smoothly at the waist. */
export function trunkOf({
  skeleton,
  frame: f,
  lateInPregnancy,
}: Pick<Elevation, 'skeleton' | 'frame' | 'lateInPregnancy'>): BodyPart {
  const h = f.stature
  const { pelvis, ribs } = trunkBearings(skeleton)
  const scale = (f.lowTrunk + f.ribCage) / (0.288 * h)
  const laid = sections.map(({ along, depth, width, before }) => {
    const { at, turn } = spineAt(skeleton, f, along * scale * h, pelvis, ribs)
    return { at: moved(at, [turn.front, before * h]), turn, depth: depth * h, aside: (width - depth) * h }
  })
  const string = (side: -1 | 0 | 1): Bead[] =>
    laid.map(({ at, turn, depth, aside }) => bead(moved(at, [turn.right, side * aside]), depth))
  const seat = (side: -1 | 1): Bead[] => [
    bead(
      moved(skeleton.hip, [pelvis.right, side * 0.042 * h], [pelvis.front, -0.02 * h], [pelvis.along, 0.03 * h]),
      0.046 * h,
    ),
    bead(
      moved(skeleton.hip, [pelvis.right, side * 0.044 * h], [pelvis.front, -0.02 * h], [pelvis.along, -0.014 * h]),
      0.048 * h,
    ),
  ]
  return {
    name: 'trunk',
    strings: [
      string(0),
      string(-1),
      string(1),
      seat(-1),
      seat(1),
      ...shouldersOf(skeleton, f, ribs),
      neckOf(skeleton, f, ribs),
      ...bonesIn(skeleton, f),
      ...(lateInPregnancy ? [bellyOf(skeleton, f)] : []),
    ],
    joints: [],
  }
}

/** From the root of the neck out to both shoulders, and from there down the sides of the ribs. */
function shouldersOf(skeleton: Skeleton, { stature: h }: Frame, ribs: Bearing): Bead[][] {
  const { shoulder } = skeleton
  return (['left', 'right'] as const).flatMap((side) => {
    const joint = skeleton[side].shoulder
    const outwards = directed(minus(joint, shoulder), ribs.right)
    return [
      [
        bead(moved(shoulder, [ribs.along, 0.016 * h], [ribs.front, -0.006 * h]), 0.026 * h),
        bead(moved(between(shoulder, joint, 0.5), [ribs.along, 0.004 * h]), 0.034 * h),
        bead(joint, 0.033 * h),
      ],
      [
        bead(joint, 0.033 * h),
        bead(moved(shoulder, [outwards, 0.066 * h], [ribs.along, -0.04 * h]), 0.038 * h),
        bead(moved(shoulder, [outwards, 0.045 * h], [ribs.along, -0.09 * h]), 0.04 * h),
      ],
    ]
  })
}

function neckOf({ shoulder, crown }: Skeleton, f: Frame, ribs: Bearing): Bead[] {
  const { stature: h } = f
  const up = directed(minus(crown, shoulder), ribs.along)
  const root = moved(shoulder, [ribs.along, -0.01 * h], [ribs.front, -0.004 * h])
  return [
    bead(root, 0.038 * h),
    bead(moved(shoulder, [up, 0.022 * h], [ribs.front, -0.003 * h]), 0.031 * h),
    bead(moved(shoulder, [up, 0.06 * h]), 0.029 * h),
    bead(moved(shoulder, [up, 0.1 * h]), 0.03 * h),
  ]
}

/** The bones as the solver laid them: no skin is thinner. */
const bonesIn = ({ hip, waist, shoulder }: Skeleton, f: Frame): Bead[][] => [
  [bead(hip, f.hipR), bead(waist, f.waistR), bead(shoulder, f.chestR)],
]

/** A place on the line of the trunk, so far above the hip joints, and how the trunk is turned there. */
function spineAt(
  { hip, waist, shoulder }: Skeleton,
  f: Frame,
  along: number,
  pelvis: Bearing,
  ribs: Bearing,
): { readonly at: Point3; readonly turn: Bearing } {
  const reach = bendReach * f.stature
  const [from, to] = [f.lowTrunk - reach, f.lowTrunk + reach]
  const share = Math.max(0, Math.min(1, (along - from) / (to - from)))
  const turn = turnedBetween(pelvis, ribs, share)
  if (along <= from) return { at: moved(hip, [pelvis.along, along]), turn }
  if (along >= to) return { at: moved(shoulder, [ribs.along, along - f.lowTrunk - f.ribCage]), turn }
  const [start, end] = [moved(waist, [pelvis.along, -reach]), moved(waist, [ribs.along, reach])]
  return { at: between(between(start, waist, share), between(waist, end, share), share), turn }
}
