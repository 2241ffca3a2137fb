import type { FigureOf } from '#model/figure'
import { childsPose, isLong } from '#core/props'
import type { Calculated } from '#core/props'
import { armAlong, armTo } from '../body/arms.ts'
import { bothAlike, hipJoint, uprightThigh } from '../body/legs.ts'
import type { Leg } from '../body/legs.ts'
import { asinOf, between, from, fromOut, plus } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { alongOf, heightUnder, limbObstacle, onSeat, pileUnder, placed } from '../body/scene.ts'
import type { Drawn, PlacedProp, Scene } from '../body/scene.ts'
import { joined } from '../body/skeleton.ts'
import { floorAt } from '../geometry/shape.ts'
import { foldOnto } from './seated-fold.ts'
import { ankleSurface, chestSupport, headDown, onTheBelly } from './prone.ts'
import { layTrunk } from '../body/trunk.ts'

/**
 * Shins on the floor from the knees back; the knees stand `spread` degrees out, the feet come together behind, or stay
 * `apart` cm from the middle where something stands between them.
 */
function kneelLeg(
  scene: Scene,
  hip: Point3,
  spread: number,
  ankleY: number,
  apart?: number,
): { readonly leg: Leg; readonly props: readonly PlacedProp[] } {
  const { f } = scene
  const start = hipJoint(hip, f)
  const pad = pileUnder(scene, 'knees') ?? pileUnder(scene, 'shins')
  const kneeY = f.kneeR + (pad?.height ?? 0)
  const knee = fromOut(start, -asinOf((start.y - kneeY) / f.thigh), spread, f.thigh)
  const inwards = apart === undefined && spread < 8 ? 0 : asinOf((knee.z - (apart ?? f.hipHalf * 0.7)) / f.shank)
  const ankle = fromOut(knee, 180 + asinOf((knee.y - ankleY) / f.shank), inwards, f.shank)
  const toe = fromOut(ankle, 180 + asinOf((ankle.y - f.toeR) / f.footLength) * 0.9, 0, f.footLength)
  const centre = pad && pad.pieces.some(isLong) ? (knee.x + ankle.x) / 2 : knee.x
  return {
    leg: { hip: start, knee, ankle, toe },
    props: [
      ...placed(pad, floorAt(centre), knee.z),
      ...placed(pileUnder(scene, 'ankles'), ankleSurface(scene, ankle.x), ankle.z),
    ],
  }
}

/** Child's fold: on the heels or their pad, the trunk over its support [formula book 5h]. */
export function childFold(figure: FigureOf<'childFold'>, scene: Scene): Calculated<Drawn> {
  const { f } = scene
  const seatPad = heightUnder(scene, 'pelvis')
  const numbers = childsPose({ stature: f.stature, measured: f, bolsterTop: heightUnder(scene, 'chest'), seatPad })
  if (!numbers.ok) return numbers
  const shinPad = heightUnder(scene, 'knees') + heightUnder(scene, 'shins')
  // A roll under the ankles lifts the heels, and what sits on them, by about its half [estimate].
  const hip: Point3 = { x: 0, y: numbers.value.hipH + shinPad + heightUnder(scene, 'ankles') / 2, z: 0 }
  const spread = figure.spreadDeg ?? 8
  const { leg, props: under } = kneelLeg(scene, hip, spread, f.heelR + shinPad + heightUnder(scene, 'ankles'))
  const seat = placed(pileUnder(scene, 'pelvis'), {
    x: -0.05 * f.stature,
    y: hip.y - f.hipAboveSeat - seatPad,
    degrees: 0,
  })
  if (onSeat(pileUnder(scene, 'head'))) return beforeAChair(scene, hip, leg, [...under, ...seat])
  const support = chestSupport(scene, 0.13 * f.stature)
  // With the knees together the trunk lies on the thighs; apart, it sinks between them.
  const thighs =
    spread < 20 ? [limbObstacle({ a: leg.hip, b: leg.knee, ra: f.kneeR, rb: f.kneeR }, 0.45, f.shoulderHalf)] : []
  const trunk = layTrunk(f, onTheBelly, hip, [...support, ...thighs], { least: -35, most: 60 })
  const head = headDown(scene, trunk.shoulder, trunk.ribs, support, thighs)
  const wide = Math.max(0, ...support.map(({ zTo }) => zTo))
  const hand = plus(head.crown, {
    x: 0.04 * f.stature,
    y: f.wristR - head.crown.y,
    z: Math.max(wide + 3, f.shoulderHalf),
  })
  const arms =
    figure.arms === 'along'
      ? armAlong(scene, trunk.shoulder, 180)
      : armTo(f, trunk.shoulder, hand, { x: 0, y: -0.1, z: 1 })
  const legs = bothAlike(leg)
  return {
    ok: true,
    warnings: numbers.warnings,
    value: {
      skeleton: joined({ hip, waist: trunk.waist, shoulder: trunk.shoulder, crown: head.crown }, legs, arms),
      props: [...under, ...seat, ...support, ...head.pads, ...arms.props],
      onCheek: support.length > 0,
      numbers: { child: numbers },
    },
  }
}

/** How far the hips fold, and the spine with them, before a chair, degrees [estimates]. */
const beforeChair = { lean: 55, round: 30 } as const

/** Kneeling before a chair, forearms and brow on its seat. */
function beforeAChair(scene: Scene, hip: Point3, leg: Leg, under: readonly PlacedProp[]): Calculated<Drawn> {
  const { f } = scene
  const pile = pileUnder(scene, 'head')
  const nearest = leg.knee.x + f.kneeR + alongOf(pile) / 2
  const { trunk, pads } = foldOnto({
    scene,
    hip,
    ...beforeChair,
    most: 1.8,
    pile,
    baseAt: (ball, further) => floorAt(Math.max(nearest, ball.x + 0.02 * f.stature + further)),
    others: [],
  })
  const hand = { x: trunk.crown.x + 0.06 * f.stature, y: (pile?.height ?? 0) + f.wristR, z: f.shoulderHalf }
  const arms = armTo(f, trunk.shoulder, hand, { x: -0.6, y: -0.5, z: 0.8 })
  const legs = bothAlike(leg)
  return {
    ok: true,
    warnings: [],
    value: {
      skeleton: joined({ hip, waist: trunk.waist, shoulder: trunk.shoulder, crown: trunk.crown }, legs, arms),
      props: [...under, ...pads, ...arms.props],
      numbers: {},
    },
  }
}

/** How far the sit bones stand above the floor on the heels, as shares of the stature, by what the feet do [estimates]. */
const heelSeat = { flat: 0.06, tucked: 0.12, lifted: 0.075 } as const

/** Up on the knees, the thighs upright, the trunk a long curve back and the hands on what stands behind. */
function arched(scene: Scene): Calculated<Drawn> {
  const { f } = scene
  const { hip, leg } = uprightThigh(scene)
  const waist = from(hip, 100, f.lowTrunk)
  const shoulder = from(waist, 118, f.ribCage)
  const crown = from(shoulder, 104, f.headNeck)
  const under = pileUnder(scene, 'hands')
  const behind = shoulder.x - 0.03 * f.stature
  // Without anything behind the hands hold the back of the pelvis.
  const hand = under
    ? { x: behind, y: under.height + f.wristR, z: f.shoulderHalf * 0.8 }
    : plus(hip, { x: -f.hipR, y: 0.02 * f.stature, z: f.hipHalf })
  const seat = placed(under, floorAt(behind - alongOf(under) / 2 + 0.04 * f.stature))
  const arms = armTo(f, shoulder, hand, { x: -1, y: 0, z: 0.5 }, seat)
  const legs = bothAlike(leg, placed(pileUnder(scene, 'knees'), floorAt(leg.knee.x)))
  return {
    ok: true,
    warnings: [],
    value: {
      skeleton: joined({ hip, waist, shoulder, crown }, legs, arms),
      props: [...legs.props, ...placed(pileUnder(scene, 'ankles'), floorAt(leg.ankle.x)), ...arms.props],
      numbers: {},
    },
  }
}

/** Leaning back on the hands: the slopes from the floor, degrees, and the hands behind the shoulders, share of the stature [estimates]. */
const leaning = { pelvis: 108, ribs: 106, head: 96, hands: 0.08 } as const

/** Upright on the heels, on something between the feet, or on tucked toes; or up on the knees, the chest open. */
export function kneeling(figure: FigureOf<'kneeling'>, scene: Scene): Calculated<Drawn> {
  if (figure.trunk === 'arched') return arched(scene)
  const { f } = scene
  const pile = pileUnder(scene, 'pelvis')
  // A short pad lifts the knees alone; one long enough for the shins lifts the seat too.
  const pad = pileUnder(scene, 'knees')
  const heels =
    heelSeat[figure.feet] * f.stature +
    (isLong({ along: alongOf(pad) }) ? heightUnder(scene, 'knees') : 0) +
    heightUnder(scene, 'shins')
  // Something firm stands between the feet; something soft lies on the heels.
  const between_ = pile?.pieces.some(({ rank }) => rank < 2) ?? false
  const seatY = between_ ? Math.max(heels, pile?.height ?? 0) : heels + (pile?.height ?? 0)
  const hip: Point3 = { x: 0, y: seatY + f.hipAboveSeat, z: 0 }
  const ankleY = figure.feet === 'tucked' ? 0.085 * f.stature : f.heelR + heightUnder(scene, 'ankles')
  const lifted = figure.feet === 'lifted' ? 0.09 * f.stature : 0
  const start = hipJoint(hip, f)
  const apart = between_
    ? Math.max(f.hipHalf, ...(pile?.pieces ?? []).map(({ across }) => across / 2 + f.heelR + 0.5))
    : undefined
  const flat = kneelLeg(scene, hip, 6, ankleY, apart)
  const knee = lifted > 0 ? fromOut(start, asinOf((lifted + f.kneeR - start.y) / f.thigh), 6, f.thigh) : flat.leg.knee
  const ankle = lifted > 0 ? from(knee, 180 + asinOf((knee.y - ankleY) / f.shank), f.shank) : flat.leg.ankle
  const toe = {
    flat: flat.leg.toe,
    tucked: tuckedToe(ankle, f.footLength, f.toeR),
    lifted: from(ankle, 180 + asinOf((ankle.y - f.toeR) / f.footLength), f.footLength),
  }[figure.feet]
  const leg: Leg = { hip: start, knee, ankle, toe }
  const leans = figure.trunk === 'leaning'
  const waist = from(hip, leans ? leaning.pelvis : 94, f.lowTrunk)
  const shoulder = from(waist, leans ? leaning.ribs : 87, f.ribCage)
  const crown = from(shoulder, leans ? leaning.head : 90, f.headNeck)
  const onThigh = plus(between(leg.hip, leg.knee, 0.7), { x: 0, y: f.kneeR + f.wristR, z: 0 })
  const behind = { y: f.wristR, z: f.shoulderHalf * (leans ? 1.1 : 1) }
  const arms = armTo(
    f,
    shoulder,
    leans
      ? { x: shoulder.x - leaning.hands * f.stature, ...behind }
      : figure.feet === 'lifted'
        ? { x: -0.16 * f.stature, ...behind }
        : onThigh,
    { x: -1, y: -0.2, z: 0.5 },
  )
  const legs = bothAlike(leg)
  const seat = placed(pile, { x: (between_ ? -0.02 : -0.07) * f.stature, y: between_ ? 0 : heels, degrees: 0 })
  return {
    ok: true,
    warnings: [],
    value: {
      skeleton: joined({ hip, waist, shoulder, crown }, legs, arms),
      props: [...flat.props, ...seat, ...arms.props],
      numbers: {},
    },
  }
}

/** The ball of the foot on the floor, the heel up. */
function tuckedToe(ankle: Point3, footLength: number, toeR: number): Point3 {
  const drop = Math.min(footLength, ankle.y - toeR)
  return plus(ankle, { x: Math.sqrt(footLength ** 2 - drop ** 2), y: -drop, z: 0 })
}
