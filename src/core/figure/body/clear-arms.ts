import type { Frame } from './frame.ts'
import { cross, dot, lengthOf, middleJoint, minus, plus, reached, scaled } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { isClear } from './scene.ts'
import type { PlacedProp } from './scene.ts'
import type { SideJoints, Skeleton } from './skeleton.ts'

/** Part of an arm's flesh that gives way before it counts as being in a prop. */
const firm = 0.6
/** How the hand may go aside and up, in shares of the stature, the nearest ways first. */
const ways: readonly (readonly [ahead: number, up: number, out: number])[] = [
  0, 0.02, 0.04, 0.07, 0.1, 0.14, 0.18,
].flatMap((by) =>
  by === 0
    ? [[0, 0, 0] as const]
    : ([
        [0, 0, by],
        [0, by, 0],
        [0, by, by],
        [by, 0, 0],
        [-by, 0, 0],
        [0, 0, by * 1.6],
      ] as const),
)
const swivels = [0, 30, -30, 60, -60, 100, -100] as const

type Arm = Pick<SideJoints, 'shoulder' | 'elbow' | 'wrist'>

const armClear = (f: Frame, { shoulder, elbow, wrist }: Arm, props: readonly PlacedProp[]): boolean =>
  isClear(
    [
      { a: shoulder, b: elbow, ra: 0, rb: f.armR * firm },
      { a: elbow, b: wrist, ra: f.armR * firm, rb: f.wristR * firm },
    ],
    props,
  )

/** Which way an arm bends from the line between shoulder and hand; out to its side where it is straight. */
function bendOf({ shoulder, elbow, wrist }: Arm): Point3 {
  const line = minus(wrist, shoulder)
  const off = minus(elbow, shoulder)
  const axis = scaled(line, 1 / (lengthOf(line) || 1))
  const away = minus(off, scaled(axis, dot(off, axis)))
  return lengthOf(away) > 0.5
    ? away
    : lengthOf(cross(axis, { x: 0, y: 1, z: 0 })) > 0.1
      ? { x: 0, y: 1, z: Math.sign(shoulder.z) }
      : { x: 1, y: 0, z: Math.sign(shoulder.z) }
}

function cleared(f: Frame, arm: Arm, props: readonly PlacedProp[]): Arm {
  if (armClear(f, arm, props)) return arm
  const outwards = Math.sign(arm.shoulder.z) || 1
  const bend = bendOf(arm)
  for (const [ahead, up, out] of ways) {
    const wished = plus(arm.wrist, { x: ahead * f.stature, y: up * f.stature, z: out * outwards * f.stature })
    const wrist = reached(arm.shoulder, wished, f.upperArm, f.forearm)
    for (const swivel of swivels) {
      const moved = {
        shoulder: arm.shoulder,
        elbow: middleJoint(arm.shoulder, wrist, f.upperArm, f.forearm, bend, swivel),
        wrist,
      }
      if (armClear(f, moved, props)) return moved
    }
  }
  return arm
}

const mirrored = ({ shoulder, elbow, wrist }: Arm): Arm => ({
  shoulder: { ...shoulder, z: -shoulder.z },
  elbow: { ...elbow, z: -elbow.z },
  wrist: { ...wrist, z: -wrist.z },
})
const isMirror = (a: Point3, b: Point3): boolean => lengthOf(minus(a, { ...b, z: -b.z })) < 1e-6

/** The arms moved out of whatever they would lie in, the hands as little as may be; as they are where nothing helps. */
export function clearArms(skeleton: Skeleton, f: Frame, props: readonly PlacedProp[]): Skeleton {
  const { right, left } = skeleton
  const clear = cleared(f, right, props)
  const alike = isMirror(right.wrist, left.wrist) && isMirror(right.elbow, left.elbow) ? mirrored(clear) : undefined
  // Two arms alike stay alike, where that is clear too.
  return {
    ...skeleton,
    right: { ...right, ...clear },
    left: { ...left, ...(alike && armClear(f, alike, props) ? alike : cleared(f, left, props)) },
  }
}
