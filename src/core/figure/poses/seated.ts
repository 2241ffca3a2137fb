import type { FigureOf } from '#model/figure'
import { seatCross } from '#core/props'
import type { Calculated } from '#core/props'
import { armTo } from '../body/arms.ts'
import type { Arms } from '../body/arms.ts'
import { crossedPair } from '../body/crossed.ts'
import { bothAlike, boundLeg, hipJoint, longLeg } from '../body/legs.ts'
import type { Leg, Legs } from '../body/legs.ts'
import { asinOf, between, from, fromOut, middleJoint, plus } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { heightUnder, pileUnder, placed } from '../body/scene.ts'
import type { Drawn, PlacedProp, Scene } from '../body/scene.ts'
import { seatedFold } from './seated-fold.ts'
import { joined } from '../body/skeleton.ts'
import { boundsOf, floorAt } from '../geometry/shape.ts'
import { layTrunk } from '../body/trunk.ts'
import { usualOf } from '../body/usual.ts'
import { chestSupport, headDown, onTheBelly } from './prone.ts'

type Seated = FigureOf<'seated'>

/** The bent leg of a one-leg fold has its heel near the groin, cm from the sit bones [estimate]. */
const oneHeelGap = 6
/** How far behind the hips the middle of a seat lies, share of the stature [estimate]. */
const seatBehind = -0.03
/** How far each leg of a straddle stands out, degrees [estimate]. */
const straddle = 48

/** On the floor or a low seat: upright, folding onto a support, or turned down over a bolster. */
export function seated(figure: Seated, scene: Scene): Calculated<Drawn> {
  const { f } = scene
  if (figure.trunk === 'twistDown') return twistDown(scene)
  const seat = pileUnder(scene, 'pelvis')
  const hip: Point3 = { x: 0, y: (seat?.height ?? 0) + f.hipAboveSeat, z: 0 }
  const legs = legsOf(figure, scene, hip)
  const seats = placed(seat, floorAt(seatBehind * f.stature))
  if (figure.trunk === 'fold') return seatedFold(figure, scene, hip, legs, seats)
  const back = figure.trunk === 'sideways' ? -3 : 0
  const waist = from(hip, 93, f.lowTrunk)
  const shoulder = from(waist, 88 + back, f.ribCage)
  const crown = from(shoulder, 90, f.headNeck)
  const arms = uprightArms(figure, scene, shoulder, legs.right)
  return {
    ok: true,
    warnings: [],
    value: {
      skeleton: joined({ hip, waist, shoulder, crown }, legs, arms),
      props: [...seats, ...legs.props, ...arms.props],
      numbers: legs.numbers ?? {},
      ...(scene.wall ? { wallX: Math.min(hip.x - f.hipR, shoulder.x - f.chestR) } : {}),
    },
  }
}

function legsOf(figure: Seated, scene: Scene, hip: Point3): Legs {
  const alike = ({ leg, props }: { readonly leg: Leg; readonly props: readonly PlacedProp[] }): Legs =>
    bothAlike(leg, props)
  const { abductionDeg, heelGapCm } = usualOf(figure)
  switch (figure.legs) {
    case 'long':
      return alike(longLeg(scene, hip, 5))
    case 'wide':
      return alike(longLeg(scene, hip, straddle))
    case 'bound':
      return alike(boundLeg(scene, hip, abductionDeg, heelGapCm))
    case 'one': {
      const bent = boundLeg({ ...scene, piles: scene.piles.filter(({ piles }) => piles === 1) }, hip, 80, oneHeelGap)
      const long = longLeg({ ...scene, piles: [] }, hip, 8)
      return { right: bent.leg, left: bothAlike(long.leg).left, props: bent.props.filter(({ zTo }) => zTo > 0) }
    }
    case 'crossed':
      return crossedLegs(figure, scene, hip)
    case 'deer':
      return deer(scene, hip)
  }
}

/** How far ahead and to the sides the seat reaches, cm. */
function seatReach(scene: Scene): { readonly front: number; readonly aside: number } {
  const seat = placed(pileUnder(scene, 'pelvis'), floorAt(seatBehind * scene.f.stature))
  return {
    front: Math.max(-Infinity, ...seat.map((prop) => boundsOf(prop).right)),
    aside: Math.max(0, ...seat.map(({ zTo }) => zTo)),
  }
}

/** Cross-legged: knees as high as the hips' turn leaves them on this seat [formula book 5d], or on what fills under them. */
function crossedLegs(figure: Seated, scene: Scene, hip: Point3): Legs {
  const { f } = scene
  const start = hipJoint(hip, f)
  const sitting = seatCross({
    ...{ stature: f.stature, measured: f },
    ...(scene.kneeH0Cm === undefined ? { thighUpDeg: usualOf(figure).thighUpDeg } : { kneeH0: scene.kneeH0Cm }),
  })
  const seatH = hip.y - f.hipAboveSeat
  const kneeH = sitting.ok
    ? sitting.value.kneeH0 + 0.25 * Math.min(seatH, sitting.value.seatH * 2)
    : (scene.kneeH0Cm ?? f.kneeR)
  const pile = pileUnder(scene, 'knees', 2) ?? pileUnder(scene, 'knees')
  const kneeY = Math.max(f.kneeR, kneeH, (pile?.height ?? 0) + f.kneeR)
  const numbers = { seat: sitting }
  if (figure.crossing) {
    const { right, left } = crossedPair(figure.crossing, f, {
      ...{ hip, kneeY, underKnees: pile?.height ?? 0, seat: seatReach(scene) },
    })
    // Beside each other where the knees are: under knees in the middle they meet.
    const out = Math.max(
      Math.abs(left.knee.z),
      (pile?.pieces ?? []).reduce((most, { across }) => Math.max(most, across / 2), 0),
    )
    return { right, left, props: placed(pile, floorAt(left.knee.x), out), numbers }
  }
  const knee = fromOut(start, asinOf((kneeY - start.y) / f.thigh), 42, f.thigh)
  const ankleY = f.heelR
  const ankle = fromOut(knee, -asinOf((kneeY - ankleY) / f.shank), -112, f.shank)
  const leg = { hip: start, knee, ankle, toe: fromOut(ankle, 0, -82, f.footLength) }
  const other = bothAlike({ ...leg, ...shifted(leg, 0.035 * f.stature) }).left
  return {
    right: leg,
    left: other,
    props: placed(pile, floorAt(knee.x), knee.z + 0.02 * f.stature),
    numbers,
  }
}

/** The other shin lies before the first. */
function shifted(leg: Leg, by: number): Pick<Leg, 'ankle' | 'knee'> & { readonly toe: Point3 } {
  const ankle = plus(leg.ankle, { x: by, y: 0, z: 0 })
  const length = Math.hypot(leg.knee.x - leg.hip.x, leg.knee.y - leg.hip.y, leg.knee.z - leg.hip.z)
  const shank = Math.hypot(leg.knee.x - leg.ankle.x, leg.knee.y - leg.ankle.y, leg.knee.z - leg.ankle.z)
  const knee = middleJoint(leg.hip, ankle, length, shank, {
    x: leg.knee.x - leg.hip.x,
    y: leg.knee.y - leg.hip.y,
    z: leg.knee.z - leg.hip.z,
  })
  return { ankle, knee, toe: plus(leg.toe, { x: by, y: 0, z: 0 }) }
}

/** One shin in front, the other folded back beside the hip. */
function deer(scene: Scene, hip: Point3): Legs {
  const { f } = scene
  const start = hipJoint(hip, f)
  const knee = fromOut(start, -asinOf((start.y - f.kneeR) / f.thigh), 28, f.thigh)
  const ankle = fromOut(knee, -asinOf((knee.y - f.heelR) / f.shank), -100, f.shank)
  const back = { ...start, z: -start.z }
  const backKnee = fromOut(back, -asinOf((back.y - f.kneeR) / f.thigh), -66, f.thigh)
  const backAnkle = fromOut(backKnee, -asinOf((backKnee.y - f.heelR) / f.shank), -172, f.shank)
  return {
    right: { hip: start, knee, ankle, toe: fromOut(ankle, 0, -85, f.footLength) },
    left: { hip: back, knee: backKnee, ankle: backAnkle, toe: fromOut(backAnkle, 0, -180, f.footLength) },
    props: placed(pileUnder(scene, 'knees'), floorAt(knee.x), knee.z),
  }
}

function uprightArms(figure: Seated, scene: Scene, shoulder: Point3, leg: Leg): Arms {
  const { f } = scene
  if (figure.arms === 'wide' || figure.trunk === 'sideways') {
    const hand = {
      x: -0.14 * f.stature,
      y: f.wristR + heightUnder(scene, 'hands'),
      z: f.shoulderHalf + 0.04 * f.stature,
    }
    const arms = armTo(
      f,
      shoulder,
      hand,
      { x: -0.5, y: 0, z: 1 },
      placed(pileUnder(scene, 'hands'), floorAt(hand.x), hand.z),
    )
    return figure.trunk === 'sideways' ? { ...arms, props: arms.props.filter(({ zTo }) => zTo > 0) } : arms
  }
  if (figure.arms === 'crossed')
    return armTo(
      f,
      shoulder,
      { x: shoulder.x + 0.17 * f.stature, y: shoulder.y - 0.02 * f.stature, z: -0.03 * f.stature },
      { x: 0.6, y: -0.6, z: 0.3 },
    )
  if (figure.arms === 'along')
    return armTo(
      f,
      shoulder,
      { x: -0.13 * f.stature, y: shoulder.y - 0.26 * f.stature, z: 0.05 * f.stature },
      { x: -1, y: 0, z: 0.6 },
    )
  const onLeg = plus(between(leg.hip, leg.knee, 0.72), { x: 0, y: f.kneeR + f.wristR, z: 0 })
  // On knees in the middle the hands lie beside each other.
  const hand = { ...onLeg, z: Math.max(onLeg.z, 0.03 * f.stature) }
  return armTo(f, shoulder, hand, { x: -1, y: -0.3, z: 0.5 })
}

/** Hip on the floor, the trunk turned face down over a long support, the knees to one side. */
function twistDown(scene: Scene): Calculated<Drawn> {
  const { f } = scene
  const pad = pileUnder(scene, 'pelvis')
  const hip: Point3 = { x: 0, y: (pad?.height ?? 0) + 0.085 * f.stature, z: 0 }
  const support = chestSupport(scene, 0.055 * f.stature)
  const trunk = layTrunk(f, onTheBelly, hip, support, { least: -10, most: 70 })
  const head = headDown(scene, trunk.shoulder, trunk.ribs, support)
  const leg = (side: 1 | -1, ahead: number): Leg => {
    const start = { ...hip, z: side * f.hipHalf * 0.4, y: hip.y + (side === -1 ? f.hipHalf * 0.4 : 0) }
    const knee = fromOut(
      start,
      -asinOf((start.y - f.kneeR - (side === -1 ? f.kneeR * 1.2 : 0)) / f.thigh),
      ahead,
      f.thigh,
    )
    const ankle = fromOut(knee, -asinOf((knee.y - f.heelR) / f.shank), 172, f.shank)
    return { hip: start, knee, ankle, toe: fromOut(ankle, 0, 178, f.footLength) }
  }
  const wide = Math.max(0, ...support.map(({ zTo }) => zTo))
  const arms = armTo(
    f,
    trunk.shoulder,
    { x: trunk.shoulder.x + 0.14 * f.stature, y: f.wristR, z: wide + 4 },
    { x: 0, y: -0.1, z: 1 },
  )
  const [right, left] = [leg(1, 80), leg(-1, 70)]
  return {
    ok: true,
    warnings: [],
    value: {
      skeleton: {
        hip,
        waist: trunk.waist,
        shoulder: trunk.shoulder,
        crown: head.crown,
        right: { ...right, ...arms.right },
        left: { ...left, ...arms.left },
      },
      props: [...placed(pad, floorAt(0)), ...support, ...head.pads, ...arms.props],
      onCheek: true,
      numbers: {},
    },
  }
}
