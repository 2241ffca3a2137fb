import type { FigureOf } from '#model/figure'
import { isSeat } from '#core/props'
import type { Calculated, Pile } from '#core/props'
import { armTo } from '../body/arms.ts'
import type { Arms } from '../body/arms.ts'
import { bothAlike, flatFoot, hipJoint, otherLeg, uprightThigh } from '../body/legs.ts'
import type { Leg, Legs } from '../body/legs.ts'
import {
  asinOf,
  degreesOf,
  from,
  fromOut,
  middleJoint,
  plus,
  reached,
  turnUntilClear,
  turnUntilContact,
} from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { chestSupport, headDown, legBack, onTheBelly } from './prone.ts'
import { alongOf, clearance, heightUnder, isClear, pileUnder, placed } from '../body/scene.ts'
import type { Drawn, PlacedProp, Scene } from '../body/scene.ts'
import { joined } from '../body/skeleton.ts'
import { floorAt } from '../geometry/shape.ts'
import { headBall, layTrunk } from '../body/trunk.ts'

type AllFours = FigureOf<'allFours'>
interface Base extends Legs {
  readonly hip: Point3
}

/** Hands and knees and what grows from them: lunge, half split, folded pigeon, frog, and the long shape from hands to feet. */
export function allFours(figure: AllFours, scene: Scene): Calculated<Drawn> {
  const legs = figure.legs ?? 'both'
  if (legs === 'long') return longShape(scene)
  const base = bases[legs](scene)
  const drawn =
    figure.trunk === 'raised' ? raised(scene, base) : figure.trunk === 'level' ? level(scene, base) : low(scene, base)
  return { ok: true, value: drawn, warnings: [] }
}

const bases: Readonly<Record<Exclude<NonNullable<AllFours['legs']>, 'long'>, (scene: Scene) => Base>> = {
  both: onKnees,
  lunge,
  halfSplit,
  pigeon,
  frog,
}

/** Thighs upright over the knees. */
function onKnees(scene: Scene): Base {
  const { hip, leg } = uprightThigh(scene)
  return { hip, ...bothAlike(leg, placed(pileUnder(scene, 'knees'), floorAt(leg.knee.x))) }
}

/** One thigh upright over its knee, the other leg straight in front on its heel, the toes up. */
function halfSplit(scene: Scene): Base {
  const { f } = scene
  const { hip, leg: kneeling } = uprightThigh(scene)
  const start = kneeling.hip
  const down = -asinOf((start.y - f.ankleH) / (f.thigh + f.shank))
  const knee = from(start, down, f.thigh)
  const ankle = from(knee, down, f.shank)
  const back = otherLeg(kneeling)
  return {
    hip,
    right: { hip: start, knee, ankle, toe: from(ankle, down + 85, f.footLength) },
    left: back,
    props: underOne(pileUnder(scene, 'knees'), back.knee.x, back.hip.z),
  }
}

/** A pad under one knee only. */
const underOne = (pad: Pile | undefined, x: number, z: number): readonly PlacedProp[] =>
  placed(pad, floorAt(x)).map((prop) => ({ ...prop, zFrom: z - 14, zTo: z + 14 }))

/** One knee on the floor behind, the other foot flat in front. */
function lunge(scene: Scene): Base {
  const { f } = scene
  const pad = pileUnder(scene, 'knees')
  const hip = { x: 0, y: 0.235 * f.stature, z: 0 }
  const start = hipJoint(hip, f)
  const back = { ...start, z: -start.z }
  const knee = from(back, 180 + asinOf((back.y - f.kneeR - (pad?.height ?? 0)) / f.thigh), f.thigh)
  const ankle = from(knee, 180 + asinOf((knee.y - f.heelR) / f.shank), f.shank)
  const behind: Leg = {
    hip: back,
    knee,
    ankle,
    toe: from(ankle, 180 + asinOf((ankle.y - f.toeR) / f.footLength), f.footLength),
  }
  const foot = reached(start, { x: 0.2 * f.stature, y: f.ankleH, z: start.z }, f.thigh, f.shank)
  const front: Leg = {
    hip: start,
    knee: middleJoint(start, foot, f.thigh, f.shank, { x: 0.6, y: 1, z: 0 }),
    ankle: foot,
    toe: flatFoot(foot, f),
  }
  return {
    hip,
    right: front,
    left: behind,
    props: underOne(pad, knee.x, back.z),
  }
}

/** The front leg folded on the floor, the other stretched back. */
function pigeon(scene: Scene): Base {
  const { f } = scene
  const pad = pileUnder(scene, 'pelvis')
  const hip = { x: 0, y: f.hipR + Math.max(pad?.height ?? 0, 0.02 * f.stature), z: 0 }
  const start = hipJoint(hip, f)
  const knee = fromOut(start, -asinOf((start.y - f.kneeR) / f.thigh), 32, f.thigh)
  const ankle = fromOut(knee, -asinOf((knee.y - f.heelR) / f.shank), -112, f.shank)
  const front: Leg = { hip: start, knee, ankle, toe: fromOut(ankle, 0, -100, f.footLength) }
  const back = bothAlike(
    legBack({ ...scene, piles: scene.piles.filter(({ part }) => part === 'ankles') }, hip).leg,
  ).left
  // Under the front hip alone, its front edge just before the sit bones, behind the folded foot.
  const under = placed(pad, floorAt(0.03 * f.stature - alongOf(pad) / 2)).map((prop) => ({
    ...prop,
    zFrom: -f.hipHalf / 2,
    zTo: prop.zTo - prop.zFrom - f.hipHalf / 2,
  }))
  return { hip, right: front, left: back, props: under }
}

/** Both knees wide, shins back, the pelvis low between them. */
function frog(scene: Scene): Base {
  const { f } = scene
  const pad = pileUnder(scene, 'knees')
  const hip = { x: 0, y: 0.13 * f.stature + (pad?.height ?? 0), z: 0 }
  const start = hipJoint(hip, f)
  const knee = fromOut(start, -asinOf((start.y - f.kneeR - (pad?.height ?? 0)) / f.thigh), 70, f.thigh)
  const ankle = fromOut(knee, 180 + asinOf((knee.y - f.heelR) / f.shank), 10, f.shank)
  const leg = { hip: start, knee, ankle, toe: fromOut(ankle, 182, 20, f.footLength) }
  return { hip, ...bothAlike(leg, placed(pad, floorAt(knee.x), knee.z)) }
}

const drawnOf = (
  base: Base,
  trunk: { readonly waist: Point3; readonly shoulder: Point3; readonly crown: Point3 },
  arms: Arms,
  props: readonly PlacedProp[],
): Drawn => ({
  skeleton: joined({ hip: base.hip, waist: trunk.waist, shoulder: trunk.shoulder, crown: trunk.crown }, base, arms),
  props: [...base.props, ...props, ...arms.props],
  numbers: {},
})

/** How far before the shoulders a chair begins, shares of the stature [estimate]. */
const chestRoom = 0.075

/** The back level, the hands under the shoulders or forward on a chair. */
function level(scene: Scene, base: Base): Drawn {
  const { f } = scene
  const waist = from(base.hip, 3, f.lowTrunk)
  const shoulder = from(waist, -1, f.ribCage)
  const crown = from(shoulder, -4, f.headNeck)
  const under = pileUnder(scene, 'hands')
  // A chair stands before the chest, the forearms on its seat; blocks stand under the shoulders.
  const chair = under?.pieces.find(isSeat)
  const edge = shoulder.x + chestRoom * f.stature
  const hand = {
    x: chair ? edge + chair.along * 0.6 : shoulder.x,
    y: f.wristR + (under?.height ?? 0),
    z: f.shoulderHalf,
  }
  const props = chair ? placed(under, floorAt(edge + alongOf(under) / 2)) : placed(under, floorAt(hand.x), hand.z)
  const arms = armTo(f, shoulder, hand, { x: -0.5, y: 0, z: 1 }, props)
  return drawnOf(base, { waist, shoulder, crown }, arms, [])
}

/** The trunk lifted off the front leg, the hands on what stands beside it. */
function raised(scene: Scene, base: Base): Drawn {
  const { f } = scene
  const posed = (lean: number) => {
    const waist = from(base.hip, lean, f.lowTrunk)
    const shoulder = from(waist, lean - 8, f.ribCage)
    return {
      waist,
      shoulder,
      crown: from(shoulder, lean - 14, f.headNeck),
      hand: { x: shoulder.x + 0.02 * f.stature, y: f.wristR + heightUnder(scene, 'hands'), z: f.shoulderHalf * 1.3 },
    }
  }
  // As upright as leaves the hands on what stands there.
  const reaches = ({ shoulder, hand }: ReturnType<typeof posed>): boolean =>
    shoulder.y - hand.y < (f.upperArm + f.forearm) * 0.96
  const { waist, shoulder, crown, hand } = posed(turnUntilClear(56, 0, (lean) => reaches(posed(lean))))
  const arms = armTo(
    f,
    shoulder,
    hand,
    { x: -1, y: 0, z: 0.3 },
    placed(pileUnder(scene, 'hands'), floorAt(hand.x), hand.z + 2),
  )
  return drawnOf(base, { waist, shoulder, crown }, arms, [])
}

/** The chest let down in front until it, or the head, is carried; the arms long on the floor. */
function low(scene: Scene, base: Base): Drawn {
  const { f } = scene
  const isHigh = base.hip.y > 0.2 * f.stature
  // Before a shin that lies across in front; else as near as the hips let it.
  const shin = [base.right.knee, base.right.ankle].every(({ x }) => x > 0)
    ? Math.max(base.right.knee.x, base.right.ankle.x) + f.kneeR
    : 0
  const support = chestSupport(scene, Math.max(shin, (isHigh ? 0.14 : 0.1) * f.stature))
  const trunk = isHigh
    ? sunk(scene, base.hip, support)
    : layTrunk(f, onTheBelly, base.hip, support, { least: -20, most: 60 })
  const head = headDown(scene, trunk.shoulder, trunk.ribs, support)
  const wide = Math.max(0, ...support.map(({ zTo }) => zTo))
  const arms = pileUnder(scene, 'arms')
  const hand = {
    x: trunk.shoulder.x + (f.upperArm + f.forearm) * 0.9,
    y: f.wristR + (arms?.height ?? 0),
    z: Math.max(f.shoulderHalf, wide + 3),
  }
  const reach = reached({ ...trunk.shoulder, z: f.shoulderHalf }, hand, f.upperArm, f.forearm)
  const pads = placed(arms, floorAt(reach.x - f.forearm * 0.5), reach.z)
  return drawnOf(base, { ...trunk, crown: head.crown }, armTo(f, trunk.shoulder, reach, { x: 0, y: 0.2, z: 1 }, pads), [
    ...support,
    ...head.pads,
  ])
}

/** Hips high, the trunk a line that sinks from them with a little backbend. */
function sunk(scene: Scene, hip: Point3, support: readonly PlacedProp[]) {
  const { f } = scene
  const pad = heightUnder(scene, 'head')
  const posed = (down: number) => {
    const waist = from(hip, -down * 1.2, f.lowTrunk)
    const shoulder = from(waist, -down * 0.85, f.ribCage)
    return { waist, shoulder, low: -down * 1.2, ribs: -down * 0.85 }
  }
  const down = turnUntilContact(0, 55, (degrees) => {
    const { waist, shoulder, ribs } = posed(degrees)
    const ball = headBall(f, shoulder, from(shoulder, ribs - 4, f.headNeck))
    const chest = { a: waist, b: shoulder, ra: f.hipR, rb: f.chestFront }
    return clearance(chest, support) >= -1e-6 && ball.a.y - ball.ra >= pad && isClear([ball], support)
  })
  return posed(down)
}

/** Feet and hands on the floor, hips high, the head on what stands under it. */
function longShape(scene: Scene): Calculated<Drawn> {
  const { f } = scene
  const upper = f.lowTrunk + f.ribCage + f.upperArm + f.forearm
  const leg = f.thigh + f.shank
  const pad = heightUnder(scene, 'head')
  const folded = (apart: number) => {
    const foot: Point3 = { x: 0, y: f.ankleH, z: 0 }
    const hand: Point3 = { x: apart, y: f.wristR, z: 0 }
    const hip = middleJoint(foot, hand, leg, upper, { x: 0, y: 1, z: 0 })
    const down = degreesOf(hand.y - hip.y, hand.x - hip.x)
    const shoulder = from(hip, down, f.lowTrunk + f.ribCage)
    return { foot, hand, hip, down, shoulder, crown: from(shoulder, down - 12, f.headNeck) }
  }
  // The feet walk in until the head is on its support, or stay at a usual distance.
  const apart = turnUntilContact(0.85, 0.46, (share) => {
    const { shoulder, crown } = folded(share * f.stature)
    const ball = headBall(f, shoulder, crown).a
    return ball.y - f.headR <= pad + 0.5 || ball.y - f.headR > pad + 60
  })
  const at = folded((pad > 0 ? apart : 0.6) * f.stature)
  const knee = (z: number): Point3 => ({
    ...from(at.hip, degreesOf(at.foot.y - at.hip.y, at.foot.x - at.hip.x), f.thigh),
    z,
  })
  const one: Leg = {
    hip: hipJoint(at.hip, f),
    knee: knee(f.hipHalf),
    ankle: { ...at.foot, z: f.hipHalf },
    toe: flatFoot({ ...at.foot, z: f.hipHalf }, f),
  }
  const ball = headBall(f, at.shoulder, at.crown).a
  const legs = bothAlike(one)
  const arms = armTo(f, at.shoulder, plus(at.hand, { x: 0, y: 0, z: f.shoulderHalf }), { x: 0, y: 0.1, z: 1 })
  return {
    ok: true,
    warnings: [],
    value: {
      skeleton: joined(
        { hip: at.hip, waist: from(at.hip, at.down, f.lowTrunk), shoulder: at.shoulder, crown: at.crown },
        legs,
        arms,
      ),
      props: placed(pileUnder(scene, 'head'), floorAt(ball.x)),
      numbers: {},
    },
  }
}
