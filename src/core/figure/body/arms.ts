import type { Frame } from './frame.ts'
import { from, fromOut, middleJoint, plus, reached, turnUntilContact } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { isClear, pileUnder, placed } from './scene.ts'
import type { PlacedProp, Scene } from './scene.ts'
import { floorAt } from '../geometry/shape.ts'

export interface Arm {
  readonly shoulder: Point3
  readonly elbow: Point3
  readonly wrist: Point3
}
export interface Arms {
  readonly right: Arm
  readonly left: Arm
  readonly props: readonly PlacedProp[]
}

const mirrored = (p: Point3): Point3 => ({ ...p, z: -p.z })
export const armsAlike = (right: Arm, props: readonly PlacedProp[] = []): Arms => ({
  right,
  left: { shoulder: mirrored(right.shoulder), elbow: mirrored(right.elbow), wrist: mirrored(right.wrist) },
  props,
})

export const shoulderJoint = (shoulder: Point3, f: Frame): Point3 => ({ ...shoulder, z: f.shoulderHalf })

/** An arm let down along the body until elbow and hand lie on the floor or on what is under the arms. */
export function armAlong(scene: Scene, shoulder: Point3, forward: 0 | 180, out = 22): Arms {
  const { f } = scene
  const start = shoulderJoint(shoulder, f)
  const pile = pileUnder(scene, 'arms')
  const turned = forward === 0 ? out : -out
  const pose = (upper: number, lower: number) => {
    const elbow = fromOut(start, forward === 0 ? upper : 180 - upper, turned, f.upperArm)
    const wrist = fromOut(elbow, forward === 0 ? lower : 180 - lower, turned * 0.4, f.forearm)
    return { elbow, wrist }
  }
  const padsAt = (elbow: Point3): readonly PlacedProp[] =>
    placed(pile, floorAt(elbow.x + (forward === 0 ? 1 : -1) * f.forearm * 0.4), elbow.z)
  const upper = turnUntilContact(15, -88, (degrees) => {
    const { elbow } = pose(degrees, 0)
    return isClear([{ a: elbow, b: elbow, ra: f.armR, rb: f.armR }], padsAt(elbow))
  })
  const { elbow } = pose(upper, 0)
  const pads = padsAt(elbow)
  const lower = turnUntilContact(20, -80, (degrees) =>
    isClear([{ a: elbow, b: pose(upper, degrees).wrist, ra: f.armR * 0.9, rb: f.wristR }], pads),
  )
  return armsAlike({ shoulder: start, ...pose(upper, lower) }, pads)
}

/** Arms reached towards a point each: the elbow stands off towards `bend`. */
export function armTo(f: Frame, shoulder: Point3, hand: Point3, bend: Point3, props: readonly PlacedProp[] = []): Arms {
  const start = shoulderJoint(shoulder, f)
  const wrist = reached(start, hand, f.upperArm, f.forearm)
  return armsAlike({ shoulder: start, elbow: middleJoint(start, wrist, f.upperArm, f.forearm, bend), wrist }, props)
}

/** Arms long past the head on the floor or on what is under them. */
export function armsOverhead(scene: Scene, shoulder: Point3, headwards: 0 | 180): Arms {
  const { f } = scene
  const start = shoulderJoint(shoulder, f)
  const pad = pileUnder(scene, 'arms')?.height ?? 0
  const away = headwards === 0 ? 1 : -1
  const flat = plus(start, { x: away * (f.upperArm + f.forearm) * 0.94, y: 0, z: 4 })
  const hand = reached(start, { ...flat, y: pad + f.armR }, f.upperArm, f.forearm)
  const elbow = middleJoint(start, hand, f.upperArm, f.forearm, { x: 0, y: 0.4, z: 1 })
  return armsAlike(
    { shoulder: start, elbow, wrist: hand },
    placed(pileUnder(scene, 'arms'), floorAt(hand.x - away * f.forearm * 0.4), hand.z),
  )
}

/** Arms hanging straight down. */
export const armsDown = (f: Frame, shoulder: Point3): Arms => {
  const start = shoulderJoint(shoulder, f)
  const elbow = from(start, -92, f.upperArm)
  return armsAlike({ shoulder: start, elbow, wrist: from(elbow, -84, f.forearm) })
}
