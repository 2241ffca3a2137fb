import type { FigureOf } from '#model/figure'
import type { Calculated } from '#core/props'
import { armTo, armsDown } from '../body/arms.ts'
import { bothAlike, flatFoot, hipJoint } from '../body/legs.ts'
import type { Leg } from '../body/legs.ts'
import { cosOf, from, middleJoint, plus, sinOf } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { alongOf, heightUnder, pileUnder, placed } from '../body/scene.ts'
import type { Drawn, PlacedProp, Scene } from '../body/scene.ts'
import { joined } from '../body/skeleton.ts'
import { floorAt } from '../geometry/shape.ts'
import { foldOnto } from './seated-fold.ts'
import { headBall } from '../body/trunk.ts'
import { usualOf } from '../body/usual.ts'

/** How far each leg of a wide stance stands out, degrees [estimate]. */
const wideStance = 28

/** On the feet: upright, folded onto a support, level with the hands at a wall, or squatting. */
export function standing(figure: FigureOf<'standing'>, scene: Scene): Calculated<Drawn> {
  const legs = figure.legs === 'squat' ? squat(scene) : straight(scene, figure.legs === 'wide' ? wideStance : 3)
  const drawn =
    figure.trunk === 'fold'
      ? foldedOver(figure, scene, legs)
      : figure.trunk === 'level'
        ? atWall(scene, legs)
        : upright(scene, legs, figure.legs === 'squat')
  return { ok: true, value: drawn, warnings: [] }
}

interface Stance {
  readonly hip: Point3
  readonly leg: Leg
  readonly props: readonly PlacedProp[]
}

function straight(scene: Scene, out: number): Stance {
  const { f } = scene
  const length = f.thigh + f.shank
  const support = heightUnder(scene, 'feet')
  const hip: Point3 = { x: 0, y: f.ankleH + support + length * cosOf(out), z: 0 }
  const start = hipJoint(hip, f)
  const down = (part: number): Point3 => ({
    x: start.x,
    y: start.y - part * cosOf(out),
    z: start.z + part * sinOf(out),
  })
  const ankle = down(length)
  return {
    hip,
    leg: { hip: start, knee: down(f.thigh), ankle, toe: flatFoot(ankle, f) },
    props: placed(pileUnder(scene, 'feet'), floorAt(ankle.x + 4), ankle.z),
  }
}

function squat(scene: Scene): Stance {
  const { f } = scene
  const heel = pileUnder(scene, 'feet')
  const seat = pileUnder(scene, 'pelvis')?.height
  const hip: Point3 = { x: -0.1 * f.stature, y: seat === undefined ? 0.155 * f.stature : seat + f.hipAboveSeat, z: 0 }
  const start = hipJoint(hip, f)
  const ankle: Point3 = { x: 0, y: f.ankleH + (heel?.height ?? 0), z: 0.12 * f.stature }
  const knee = middleJoint(start, ankle, f.thigh, f.shank, { x: 1, y: 0.5, z: 0.4 })
  // The heels stand on the pile, the toes reach down to the floor before it.
  const toe = heel && heel.height > 1 ? tilted(ankle, f.footLength, f.toeR) : flatFoot(ankle, f)
  return {
    hip,
    leg: { hip: start, knee, ankle, toe },
    props: [
      ...placed(heel, floorAt(0.012 * f.stature - alongOf(heel) / 2), ankle.z),
      ...placed(pileUnder(scene, 'pelvis'), floorAt(hip.x)),
    ],
  }
}

function tilted(ankle: Point3, length: number, toeR: number): Point3 {
  const drop = Math.min(length * 0.9, ankle.y - toeR)
  return plus(ankle, { x: Math.sqrt(length ** 2 - drop ** 2), y: -drop, z: 0 })
}

const drawnOf = (
  stance: Stance,
  trunk: { readonly waist: Point3; readonly shoulder: Point3; readonly crown: Point3 },
  arms: ReturnType<typeof armTo>,
  props: readonly PlacedProp[],
  wallX?: number,
): Drawn => {
  const legs = bothAlike(stance.leg)
  return {
    skeleton: joined({ hip: stance.hip, waist: trunk.waist, shoulder: trunk.shoulder, crown: trunk.crown }, legs, arms),
    props: [...stance.props, ...props, ...arms.props],
    numbers: {},
    ...(wallX === undefined ? {} : { wallX }),
  }
}

function upright(scene: Scene, stance: Stance, leaning: boolean): Drawn {
  const { f } = scene
  const waist = from(stance.hip, leaning ? 66 : 91, f.lowTrunk)
  const shoulder = from(waist, leaning ? 74 : 89, f.ribCage)
  const crown = from(shoulder, leaning ? 80 : 90, f.headNeck)
  const arms = leaning
    ? armTo(
        f,
        shoulder,
        // Palms together before the breastbone, the elbows out to the knees.
        { x: shoulder.x + 0.1 * f.stature, y: shoulder.y - 0.1 * f.stature, z: f.wristR },
        { x: 0.2, y: -1, z: 1.4 },
      )
    : armsDown(f, shoulder)
  return drawnOf(
    stance,
    { waist, shoulder, crown },
    arms,
    [],
    scene.wall ? Math.min(stance.hip.x, shoulder.x) - f.hipR : undefined,
  )
}

/** The trunk level, the hands on a wall. */
function atWall(scene: Scene, stance: Stance): Drawn {
  const { f } = scene
  const waist = from(stance.hip, 6, f.lowTrunk)
  const shoulder = from(waist, 0, f.ribCage)
  const crown = from(shoulder, -4, f.headNeck)
  const hand = { x: shoulder.x + (f.upperArm + f.forearm) * 0.97, y: shoulder.y + 0.04 * f.stature, z: f.shoulderHalf }
  const arms = armTo(f, shoulder, hand, { x: 0, y: -1, z: 0.4 })
  return drawnOf(stance, { waist, shoulder, crown }, arms, [], scene.wall ? arms.right.wrist.x + f.wristR : undefined)
}

/** Folded at the hips until the head is carried, or as far as is comfortable. */
function foldedOver(figure: FigureOf<'standing'>, scene: Scene, stance: Stance): Drawn {
  const { f } = scene
  const { hipFlexDeg: lean, roundDeg: round } = usualOf(figure)
  const pile = pileUnder(scene, 'head')
  const baseAt = (ball: Point3, further: number) => floorAt(ball.x + further)
  const { trunk, pads } = foldOnto({
    scene,
    hip: stance.hip,
    lean,
    round,
    most: pile ? 1.4 : 1,
    pile,
    baseAt,
    others: [],
  })
  const ball = headBall(f, trunk.shoulder, trunk.crown)
  const hand = { x: ball.a.x + 0.02 * f.stature, y: f.wristR + heightUnder(scene, 'hands'), z: f.shoulderHalf * 1.3 }
  const arms = armTo(
    f,
    trunk.shoulder,
    hand,
    { x: -1, y: 0.2, z: 0.6 },
    placed(pileUnder(scene, 'hands'), floorAt(hand.x), hand.z),
  )
  return drawnOf(stance, trunk, arms, pads)
}
