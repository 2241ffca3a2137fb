import type { FigureOf } from '#model/figure'
import { isLong } from '#core/props'
import type { Calculated, Pile } from '#core/props'
import { armAlong, armTo, armsAlike, shoulderJoint } from '../body/arms.ts'
import type { Arms } from '../body/arms.ts'
import { bothAlike, hipJoint } from '../body/legs.ts'
import type { Leg } from '../body/legs.ts'
import { asinOf, from, fromOut, plus, turnUntilContact } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { alongOf, heightUnder, pileUnder, placed, topOf } from '../body/scene.ts'
import type { Drawn, Obstacle, PlacedProp, Scene } from '../body/scene.ts'
import { boundsOf, floorAt } from '../geometry/shape.ts'
import { headBall, layHead, layTrunk } from '../body/trunk.ts'
import type { Lie } from '../body/trunk.ts'

export const onTheBelly: Lie = { towards: 1, face: 'down' }

/** A long support under the front of the trunk, its low end at `start`; across it lies under the ribs. */
export function chestSupport(scene: Scene, start: number): readonly PlacedProp[] {
  const pile = pileUnder(scene, 'chest') ?? pileUnder(scene, 'belly')
  const width = alongOf(pile)
  const centre = isLong({ along: width }) ? start + width / 2 : start + scene.f.lowTrunk * 0.6 + scene.f.ribCage * 0.4
  return placed(pile, floorAt(centre))
}

/** The head face down on its pile, which stands on the long support where that reaches, else on the floor. */
export function headDown(
  scene: Scene,
  shoulder: Point3,
  ribs: number,
  props: readonly PlacedProp[],
  obstacles: readonly Obstacle[] = [],
) {
  const { f } = scene
  const pile = pileUnder(scene, 'head')
  const long = props.filter(({ part }) => part === 'chest' || part === 'belly').at(-1)
  const end = long ? boundsOf(long).right : -Infinity
  let pads: readonly PlacedProp[] = []
  let head = layHead(f, onTheBelly, shoulder, ribs, [...props, ...obstacles])
  for (let round = 0; round < 3; round += 1) {
    const ball = headBall(f, shoulder, head.crown).a
    const centre = { ...ball, x: ball.x + Math.max(0, alongOf(pile) / 2 - 0.085 * f.stature) }
    const base = long && ball.x <= end - 2 ? { ...floorAt(centre.x), y: topOf([long]) } : floorAt(centre.x)
    pads = placed(
      pile && base.y > 0 ? shortened(pile, end + 3 - (base.x - alongOf(pile) / 2)) : pile,
      base.y > 0 ? { ...base, x: Math.min(base.x, (base.x - alongOf(pile) / 2 + end + 3) / 2) } : base,
    )
    head = layHead(f, onTheBelly, shoulder, ribs, [...props, ...pads, ...obstacles])
  }
  return { ...head, pads }
}

/** What is soft hangs down past the end of what it lies on: only as much of it as lies is drawn. */
const shortened = (pile: Pile, room: number): Pile => ({
  ...pile,
  pieces: pile.pieces.map((piece) =>
    piece.rank === 2 && piece.along > room ? { ...piece, along: Math.max(12, room) } : piece,
  ),
})

/** What pads an ankle ends just past it, so that the toes come down behind. */
export function ankleSurface(scene: Scene, ankleX: number) {
  const along = alongOf(pileUnder(scene, 'ankles'))
  return floorAt(ankleX + Math.max(0, along / 2 - 0.015 * scene.f.stature))
}

/** A leg stretched back: the knee sinks to the floor, the top of the foot to the floor or its roll. */
export function legBack(
  scene: Scene,
  hip: Point3,
  out = 4,
): { readonly leg: Leg; readonly props: readonly PlacedProp[] } {
  const { f } = scene
  const start = hipJoint(hip, f)
  const heelH = f.heelR + heightUnder(scene, 'ankles')
  const kneeH = f.kneeR + heightUnder(scene, 'knees')
  const straight = asinOf((start.y - heelH) / (f.thigh + f.shank))
  const sinks = Math.min(asinOf((start.y - kneeH) / f.thigh), Math.max(straight, asinOf((start.y - kneeH) / f.thigh)))
  const knee = fromOut(start, 180 + sinks, -out, f.thigh)
  const ankle = fromOut(knee, 180 + asinOf((knee.y - heelH) / f.shank), -out, f.shank)
  return {
    leg: {
      hip: start,
      knee,
      ankle,
      toe: fromOut(ankle, 180 + asinOf((ankle.y - f.toeR) / f.footLength) * 0.9, -out, f.footLength),
    },
    props: placed(pileUnder(scene, 'ankles'), ankleSurface(scene, ankle.x), Math.abs(ankle.z)),
  }
}

/** A leg drawn up to the side on the floor, as a frog has it. */
function legDrawnOut(scene: Scene, hip: Point3): { readonly leg: Leg; readonly props: readonly PlacedProp[] } {
  const { f } = scene
  const start = hipJoint(hip, f)
  const pad = heightUnder(scene, 'thighs')
  const knee = fromOut(start, -asinOf((start.y - f.kneeR - pad) / f.thigh), 62, f.thigh)
  const ankle = fromOut(knee, 180 + asinOf((knee.y - f.heelR) / f.shank), 0, f.shank)
  const at = { x: (start.x + knee.x * 2) / 3, z: (start.z + knee.z * 2) / 3 + 0.02 * f.stature }
  const props = placed(pileUnder(scene, 'thighs'), floorAt(at.x)).map((prop) => ({
    ...prop,
    zFrom: prop.zFrom + at.z,
    zTo: prop.zTo + at.z,
  }))
  return { leg: { hip: start, knee, ankle, toe: fromOut(ankle, 185, 0, f.footLength) }, props }
}

/** Face down: flat, over a long support, or raised on elbows or hands. */
export function prone(figure: FigureOf<'prone'>, scene: Scene): Calculated<Drawn> {
  const { f } = scene
  const support = chestSupport(scene, 0.05 * f.stature)
  const onLong = support.some(({ piece }) => isLong(piece))
  const pad = pileUnder(scene, 'pelvis')
  const carried = onLong ? topOf(support) : (pad?.height ?? 0)
  const hip: Point3 = { x: 0, y: carried + f.hipR, z: 0 }
  const props = [...support, ...placed(pad, floorAt(0))]
  const trunk =
    figure.trunk === 'flat'
      ? layTrunk(f, onTheBelly, hip, props, { least: 0, most: 40 })
      : raisedTrunk(figure.trunk, scene, hip)
  const isRaised = figure.trunk !== 'flat'
  const head = isRaised
    ? { crown: from(trunk.shoulder, trunk.ribs + 8, f.headNeck), pads: [] }
    : headDown(scene, trunk.shoulder, trunk.ribs, props)
  const back = legBack(scene, hip)
  const drawn = figure.legs === 'oneUp' ? legDrawnOut(scene, hip) : undefined
  const arms = isRaised
    ? proppedArms(figure.trunk, scene, trunk.shoulder)
    : figure.arms === 'along'
      ? armAlong(scene, trunk.shoulder, 180)
      : armsUnderBrow(scene, trunk.shoulder, head.crown, support)
  const straight = bothAlike(back.leg)
  return {
    ok: true,
    warnings: [],
    value: {
      skeleton: {
        hip,
        waist: trunk.waist,
        shoulder: trunk.shoulder,
        crown: head.crown,
        right: { ...(drawn ? drawn.leg : straight.right), ...arms.right },
        left: { ...straight.left, ...arms.left },
      },
      props: [...props, ...head.pads, ...back.props, ...(drawn?.props ?? []), ...arms.props],
      // On something long the hands are not under the brow.
      onCheek: onLong && !isRaised,
      numbers: {},
    },
  }
}

/** The trunk lifted until the arms stand under the shoulders. */
function raisedTrunk(by: 'elbows' | 'hands', scene: Scene, hip: Point3) {
  const { f } = scene
  const under = by === 'elbows' ? heightUnder(scene, 'arms') + f.armR : heightUnder(scene, 'hands') + f.wristR
  const wanted = under + (by === 'elbows' ? f.upperArm : (f.upperArm + f.forearm) * 0.8)
  const ribsFor = (low: number): number => Math.min(1.7 * low, low + 30)
  const shoulderY = (low: number): number =>
    hip.y + f.lowTrunk * Math.sin((low * Math.PI) / 180) + f.ribCage * Math.sin((ribsFor(low) * Math.PI) / 180)
  const low = turnUntilContact(0, 80, (degrees) => shoulderY(degrees) < wanted)
  const waist = from(hip, low, f.lowTrunk)
  return { hip, waist, low, shoulder: from(waist, ribsFor(low), f.ribCage), ribs: ribsFor(low) }
}

function proppedArms(by: 'elbows' | 'hands' | 'flat', scene: Scene, shoulder: Point3): Arms {
  const { f } = scene
  const start = shoulderJoint(shoulder, f)
  if (by === 'hands') {
    const hand = { x: start.x + (f.upperArm + f.forearm) * 0.57, y: heightUnder(scene, 'hands') + f.wristR, z: start.z }
    return armTo(f, shoulder, hand, { x: -1, y: 0, z: 0.2 }, placed(pileUnder(scene, 'hands'), floorAt(hand.x), hand.z))
  }
  const pile = pileUnder(scene, 'arms')
  const elbowY = (pile?.height ?? 0) + f.armR
  const reach = Math.sqrt(Math.max(0, f.upperArm ** 2 - (start.y - elbowY) ** 2))
  const elbow = { x: start.x + reach, y: start.y - Math.sqrt(f.upperArm ** 2 - reach ** 2), z: start.z }
  const wrist = from(elbow, -asinOf((f.armR - f.wristR) / f.forearm), f.forearm)
  return armsAlike({ shoulder: start, elbow, wrist }, placed(pile, floorAt(elbow.x + f.forearm * 0.4), elbow.z))
}

/** Elbows out, hands before the head. */
function armsUnderBrow(scene: Scene, shoulder: Point3, crown: Point3, support: readonly PlacedProp[]): Arms {
  const { f } = scene
  const wide = Math.max(0, ...support.map(({ zTo }) => zTo))
  const hand = plus(crown, { x: 0.01 * f.stature, y: f.wristR - crown.y, z: wide > 0 ? wide + 4 : f.hipHalf })
  return armTo(f, shoulder, hand, { x: 0, y: -0.1, z: 1 })
}
