import type { Pile } from '#core/props'
import type { Frame } from './frame.ts'
import {
  asinOf,
  between,
  cosOf,
  degreesOf,
  from,
  fromOut,
  middleJoint,
  minus,
  plus,
  reached,
  turnUntilClear,
} from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { alongOf, heightUnder, isFreeOfPile, pileUnder, placed, stillOf } from './scene.ts'
import type { PlacedProp, Scene } from './scene.ts'
import { floorAt } from '../geometry/shape.ts'
import type { BookNumbers } from '../numbers/numbers.ts'

/** A leg from its hip joint. */
export interface Leg {
  readonly hip: Point3
  readonly knee: Point3
  readonly ankle: Point3
  readonly toe: Point3
}

export interface Legs {
  readonly right: Leg
  readonly left: Leg
  readonly props: readonly PlacedProp[]
  readonly wallX?: number
  /** The book's numbers they were built from. */
  readonly numbers?: BookNumbers
}

const up: Point3 = { x: 0, y: 1, z: 0 }
const mirrored = (p: Point3): Point3 => ({ ...p, z: -p.z })
export const otherLeg = (leg: Leg): Leg => ({
  hip: mirrored(leg.hip),
  knee: mirrored(leg.knee),
  ankle: mirrored(leg.ankle),
  toe: mirrored(leg.toe),
})
export const bothAlike = (right: Leg, props: readonly PlacedProp[] = []): Legs => ({
  right,
  left: otherLeg(right),
  props,
})

export const hipJoint = (hip: Point3, f: Frame): Point3 => ({ ...hip, z: f.hipHalf })

/** A foot standing on a level sole. */
export const flatFoot = (ankle: Point3, f: Frame, degrees = 0): Point3 => {
  const drop = Math.min(f.ankleH - f.toeR, f.footLength)
  const flat = Math.sqrt(f.footLength ** 2 - drop ** 2)
  return { x: ankle.x + flat * cosOf(degrees), y: ankle.y - drop, z: ankle.z }
}

/** How far the edges of a soft roll give under thigh and calf, cm, the least first [estimates]. */
export const edgesGive = [1e-6, 1, 2, 3, 4] as const

/** Legs as long as they are, from the hips down to the floor, over whatever lies under knees and ankles. */
export function longLeg(
  scene: Scene,
  hip: Point3,
  out = 0,
): { readonly leg: Leg; readonly props: readonly PlacedProp[] } {
  const { f } = scene
  const start = hipJoint(hip, f)
  const roll = pileUnder(scene, 'knees') ?? pileUnder(scene, 'thighs')
  const heelH = f.heelR + heightUnder(scene, 'ankles')
  const straight = -asinOf((start.y - heelH) / (f.thigh + f.shank))
  const posed = (above: number) => {
    const knee = fromOut(start, above, out, f.thigh)
    const ankle = fromOut(knee, -asinOf((knee.y - heelH) / f.shank), out, f.shank)
    return { knee, ankle }
  }
  const { knee, ankle } = posed(overRoll(scene, start, roll, Math.min(75, straight), posed))
  const rolls = placed(roll, floorAt(knee.x), Math.abs(knee.z))
  const shank = minus(ankle, knee)
  const toe = fromOut(
    ankle,
    Math.min(100, degreesOf(shank.y, Math.hypot(shank.x, shank.z)) + 72),
    out + 12,
    f.footLength,
  )
  return {
    leg: { hip: start, knee, ankle, toe },
    props: [...rolls, ...placed(pileUnder(scene, 'ankles'), floorAt(ankle.x), Math.abs(ankle.z))],
  }
}

/** How far the thigh rises for knee and calf to lie over a roll that goes with the knee, degrees. */
function overRoll(
  { f }: Scene,
  start: Point3,
  roll: Pile | undefined,
  least: number,
  posed: (above: number) => Pick<Leg, 'knee' | 'ankle'>,
): number {
  if (!roll) return least
  const still = stillOf(roll)
  for (const sinks of edgesGive) {
    const fits = (degrees: number): boolean => {
      const { knee, ankle } = posed(degrees)
      const limbs = [
        { a: start, b: knee, ra: f.thighR * 0.9, rb: f.kneeR },
        { a: knee, b: ankle, ra: f.kneeR, rb: f.heelR * 0.9 },
      ]
      return limbs.every((limb) => isFreeOfPile(limb, still, floorAt(knee.x), roll.piles === 2 ? knee.z : 0, sinks))
    }
    // What is wide for short legs gives at its edges, as far as it must.
    const above = turnUntilClear(least, 80, fits)
    if (fits(above)) return above
  }
  return least
}

/** Knees bent, soles on the floor or on what lies under the feet. */
export function bentLeg(
  scene: Scene,
  hip: Point3,
  heelAway = 0.3,
  out = 0,
): { readonly leg: Leg; readonly props: readonly PlacedProp[] } {
  const { f } = scene
  const start = hipJoint(hip, f)
  const wanted = {
    x: start.x + heelAway * f.stature * cosOf(out),
    y: f.ankleH + heightUnder(scene, 'feet'),
    z: start.z + heelAway * f.stature * Math.sin((out * Math.PI) / 180),
  }
  const ankle = reached(start, wanted, f.thigh, f.shank)
  const knee = middleJoint(start, ankle, f.thigh, f.shank, up)
  return {
    leg: { hip: start, knee, ankle, toe: flatFoot(ankle, f) },
    props: placed(pileUnder(scene, 'feet'), floorAt(ankle.x + 0.04 * f.stature), ankle.z),
  }
}

/** Where along the thigh what carries a knee stands [formula book 5f]. */
const underThigh = 0.85
/** How far in along the thigh its inner edge may come [estimate]. */
const innerEdge = 0.66

/**
 * Soles together, knees fallen out about the line from hip to ankle until a support or their own limit stops them
 * [formula book 5f]. `abductionDeg` is that limit.
 */
export function boundLeg(
  scene: Scene,
  hip: Point3,
  abductionDeg: number,
  heelGap: number,
): { readonly leg: Leg; readonly props: readonly PlacedProp[] } {
  const { f } = scene
  const start = hipJoint(hip, f)
  const pile = pileUnder(scene, 'knees', 2) ?? pileUnder(scene, 'thighs', 2) ?? pileUnder(scene, 'knees')
  const wide = Math.max(0, ...(pile?.pieces ?? []).map(({ across }) => across))
  const ankle = reached(start, { x: hip.x + heelGap + f.sitBone + f.heelR, y: f.heelR, z: 1 }, f.thigh, f.shank)
  const at = (fallen: number) => {
    const knee = middleJoint(start, ankle, f.thigh, f.shank, up, fallen)
    const onThigh = (share: number) => between(start, knee, share)
    const carried = onThigh(underThigh)
    // A wide pile goes on past the knee, not in under the hip.
    return { knee, x: carried.x, z: Math.max(carried.z, onThigh(innerEdge).z + wide / 2) }
  }
  const still = stillOf(pile)
  const fallen = turnUntilClear(abductionDeg, 0, (degrees) => {
    const { knee, x, z } = at(degrees)
    const limbs = [
      { a: between(start, knee, 0.3), b: knee, ra: f.thighR, rb: f.kneeR },
      { a: knee, b: ankle, ra: f.kneeR, rb: f.heelR },
    ]
    return knee.y >= f.kneeR && limbs.every((limb) => isFreeOfPile(limb, still, floorAt(x), pile?.piles === 2 ? z : 0))
  })
  const { knee, x, z } = at(fallen)
  const props = placed(pile, floorAt(x), z)
  return {
    leg: {
      hip: start,
      knee,
      ankle,
      toe: {
        x: ankle.x + 0.06 * f.stature,
        y: ankle.y + Math.sqrt(f.footLength ** 2 - (0.06 * f.stature) ** 2),
        z: ankle.z,
      },
    },
    props,
  }
}

/** Calves on a seat or a low support, as far from the hips as the thighs reach up to it. */
export function calvesUp(
  scene: Scene,
  hip: Point3,
  pile: Pile,
): { readonly leg: Leg; readonly props: readonly PlacedProp[]; readonly lift: number } {
  const { f } = scene
  const kneeY = pile.height + f.kneeR
  const lift = Math.max(0, kneeY - hip.y - f.thigh)
  const start = { ...hipJoint(hip, f), y: hip.y + lift }
  const above = asinOf((kneeY - start.y) / f.thigh)
  const knee = from(start, above, f.thigh)
  const ankle = from(knee, -asinOf((f.kneeR - f.heelR) / f.shank), f.shank)
  const width = alongOf(pile)
  // The edge stands clear of the hollow of the knee; what is shorter than the calf lies under its middle.
  const centre = width > f.shank * 0.9 ? knee.x + f.kneeR + 1 + width / 2 : knee.x + f.shank * 0.5
  return {
    leg: { hip: start, knee, ankle, toe: from(ankle, 75, f.footLength) },
    props: placed(pile, floorAt(centre)),
    lift,
  }
}

/** Up on the knees: the thighs upright over them, the shins back on the floor. */
export function uprightThigh(scene: Scene): { readonly hip: Point3; readonly leg: Leg } {
  const { f } = scene
  const kneeY = f.kneeR + heightUnder(scene, 'knees')
  const hip = { x: 0, y: kneeY + f.thigh, z: 0 }
  const start = hipJoint(hip, f)
  const knee = from(start, -90, f.thigh)
  const ankle = from(knee, 180 + asinOf((kneeY - f.heelR) / f.shank), f.shank)
  const toe = from(ankle, 180 + asinOf((ankle.y - f.toeR) / f.footLength), f.footLength)
  return { hip, leg: { hip: start, knee, ankle, toe } }
}

/** Legs folded back beside the hips, as in hero. */
export function foldedLeg(scene: Scene, hip: Point3): { readonly leg: Leg; readonly props: readonly PlacedProp[] } {
  const { f } = scene
  const start = hipJoint(hip, f)
  const pad = heightUnder(scene, 'knees')
  const knee = fromOut(start, -asinOf((start.y - f.kneeR - pad) / f.thigh), 12, f.thigh)
  const drop = asinOf((knee.y - f.heelR) / f.shank)
  // The feet lie beside whatever the hips and the back lie on.
  const beside = asinOf((0.165 * f.stature - knee.z) / f.shank)
  const ankle = fromOut(knee, 180 + drop, -beside, f.shank)
  return {
    leg: {
      hip: start,
      knee,
      ankle,
      toe: fromOut(ankle, 180 + asinOf((ankle.y - f.toeR) / f.footLength), -8, f.footLength),
    },
    props: placed(pileUnder(scene, 'knees'), floorAt(knee.x), knee.z),
  }
}

/** One straight leg held up. */
export function raisedLeg(f: Frame, hip: Point3, above: number, out = 0): Leg {
  const start = hipJoint(hip, f)
  const knee = fromOut(start, above, out, f.thigh)
  const ankle = fromOut(knee, above, out, f.shank)
  return { hip: start, knee, ankle, toe: from(ankle, above > 60 ? 180 + above - 110 : above + 80, f.footLength) }
}

/** Knees drawn to the belly. */
export function drawnUp(f: Frame, hip: Point3): Leg {
  const start = hipJoint(hip, f)
  const knee = fromOut(start, 118, 8, f.thigh)
  const ankle = from(knee, -22, f.shank)
  return { hip: start, knee, ankle, toe: from(ankle, 30, f.footLength) }
}

/** Thighs towards the belly, shins upright, soles up. */
export function solesUp(f: Frame, hip: Point3): Leg {
  const start = hipJoint(hip, f)
  // The knees come down beside the ribs; the shins stand.
  const knee = fromOut(start, 142, -32, f.thigh)
  const ankle = fromOut(knee, 86, 0, f.shank)
  return { hip: start, knee, ankle, toe: from(ankle, 176, f.footLength) }
}

/** Legs against the wall at the angle and the distance of the formula book. */
export function wallLeg(f: Frame, hip: Point3, legAngle: number, spread: number): Leg {
  const start = hipJoint(hip, f)
  const along = (length: number): Point3 => ({
    x: start.x + length * cosOf(legAngle),
    y: start.y + length * Math.sin((legAngle * Math.PI) / 180) * cosOf(spread),
    z: start.z + length * Math.sin((legAngle * Math.PI) / 180) * Math.sin((spread * Math.PI) / 180),
  })
  const ankle = along(f.thigh + f.shank)
  return {
    hip: start,
    knee: along(f.thigh),
    ankle,
    toe: {
      x: ankle.x - Math.sqrt(Math.max(0, f.footLength ** 2 - (0.06 * f.stature) ** 2)),
      y: ankle.y + 0.06 * f.stature,
      z: ankle.z,
    },
  }
}

/** The ankle of one leg across the thigh of the other, its knee out to the side. */
export function crossedAnkle(f: Frame, hip: Point3, under: Leg): Leg {
  const start = hipJoint(hip, f)
  const wanted = plus(under.knee, {
    x: (under.hip.x - under.knee.x) * 0.12,
    y: (under.hip.y - under.knee.y) * 0.12 + f.kneeR + f.heelR * 0.7,
    z: -0.04 * f.stature,
  })
  const ankle = reached(start, wanted, f.thigh, f.shank)
  const knee = middleJoint(start, ankle, f.thigh, f.shank, { x: 0.3, y: 0.25, z: 1 })
  return {
    hip: start,
    knee,
    ankle,
    toe: plus(ankle, { x: 0, y: f.footLength * 0.5, z: -f.footLength * Math.sqrt(0.75) }),
  }
}

/** Both knees let down to one side, hips and knees bent square, over what lies under them. */
export function kneesAcross(scene: Scene, hip: Point3): Legs {
  const { f } = scene
  const height = heightUnder(scene, 'knees')
  const one = (layer: number): Leg => {
    const start = { ...hip, y: hip.y + layer * 0.5 * f.hipHalf }
    const kneeY = height + f.kneeR + layer * 2 * f.kneeR
    const sunk = asinOf((kneeY - start.y) / f.thigh)
    const knee = fromOut(start, sunk, 78, f.thigh)
    const ankle = fromOut(knee, 0, -8, f.shank)
    return { hip: start, knee, ankle, toe: fromOut(ankle, 10, 55, f.footLength) }
  }
  const [low, high] = [one(0), one(1)]
  const pile = pileUnder(scene, 'knees')
  // Under knees and shins: its near edge comes just above the knee.
  const across = Math.max(0, ...(pile?.pieces ?? []).map((piece) => piece.across))
  const depth = between(low.hip, low.knee, 0.8).z + across / 2
  const props = pile ? placedAt(pile, low.knee.x + f.shank * 0.4, depth) : []
  return { right: low, left: high, props }
}

const placedAt = (pile: Pile, x: number, z: number): readonly PlacedProp[] =>
  placed({ ...pile, piles: 1 }, floorAt(x)).map((prop) => ({ ...prop, zFrom: prop.zFrom + z, zTo: prop.zTo + z }))
