import type { FigureOf } from '#model/figure'
import { chairFeet } from '#core/props'
import type { Calculated, Pile } from '#core/props'
import { armTo } from '../body/arms.ts'
import { bothAlike, crossedAnkle, flatFoot, hipJoint } from '../body/legs.ts'
import type { Leg } from '../body/legs.ts'
import { asinOf, between, from, middleJoint, plus, reached, turnUntilContact } from '../geometry/plane.ts'
import type { Point3 } from '../geometry/plane.ts'
import { alongOf, heightUnder, isClear, pileUnder, placed } from '../body/scene.ts'
import type { Drawn, PlacedProp, Scene } from '../body/scene.ts'
import { joined } from '../body/skeleton.ts'
import { boundsOf, floorAt } from '../geometry/shape.ts'
import type { Surface } from '../geometry/shape.ts'
import { foldOnto } from './seated-fold.ts'
import { usualOf } from '../body/usual.ts'

/** The seat under someone who sits on nothing named: a usual chair, cm. */
const usualSeat = 45
/** How far out a thigh opens beside a seat, as a share of its length [estimate]. */
const widest = 0.9
/** How far a chair's back stands above its seat, cm [estimate]. */
const backrest = 40

/** On a chair: upright, or leaning forward onto a support [formula book 5d for feet and seat]. */
export function chair(figure: FigureOf<'chair'>, scene: Scene): Calculated<Drawn> {
  const { f } = scene
  const pile = pileUnder(scene, 'pelvis')
  const seatH = pile?.height ?? usualSeat
  const feet = chairFeet({ stature: f.stature, measured: f, seatH })
  if (!feet.ok) return feet
  const hip: Point3 = { x: 0, y: seatH + f.hipAboveSeat, z: 0 }
  const start = hipJoint(hip, f)
  // Who stretches a leg down sits on the seat's front edge.
  const forward = figure.legs === 'oneLong' ? -alongOf(pile) / 2 : 0.03 * f.stature
  const seats = placed(pile, floorAt(forward))
  const leg = seatedLeg(scene, start, seats, figure.over ? besideSeat(pile, f) : 0)
  const both = bothAlike(leg, placed(pileUnder(scene, 'feet'), floorAt(leg.ankle.x + 0.04 * f.stature), leg.ankle.z))
  // Of a body that has one foot down, the left one.
  const right =
    figure.legs === 'figureFour'
      ? crossedAnkle(f, hip, both.left)
      : figure.legs === 'oneLong'
        ? legToTheFloor(f, start)
        : undefined
  const legs = right ? { ...both, right, props: underLeft(both.props, both.left.ankle.z) } : both
  const trunk =
    figure.trunk === 'upright'
      ? upright(scene, hip)
      : leaning(figure, scene, hip, { seatH, nearest: leg.knee.x + f.kneeR + 1 })
  const hand =
    figure.trunk === 'upright'
      ? plus(between(leg.hip, leg.knee, 0.75), { x: 0, y: f.kneeR + f.wristR, z: 0 })
      : { x: trunk.crown.x + 0.06 * f.stature, y: trunk.top + f.wristR, z: f.shoulderHalf }
  const arms = armTo(f, trunk.shoulder, hand, { x: -0.6, y: -0.5, z: 0.8 })
  return {
    ok: true,
    warnings: [],
    value: {
      skeleton: joined({ hip, waist: trunk.waist, shoulder: trunk.shoulder, crown: trunk.crown }, legs, arms),
      props: [
        ...(trunk.backX === undefined ? seats : placed(pile, floorAt(trunk.backX - alongOf(pile) / 2))),
        ...legs.props,
        ...trunk.props,
      ],
      ...(trunk.backX === undefined ? {} : { backrestX: trunk.backX }),
      numbers: pile ? { feet } : {},
    },
  }
}

/** Only the left foot is down: of two piles its own, and a single one goes under it. */
const underLeft = (props: readonly PlacedProp[], z: number): readonly PlacedProp[] =>
  props.some(({ zFrom, zTo }) => zFrom + zTo < -1)
    ? props.filter(({ zFrom, zTo }) => zFrom + zTo < -1)
    : props.map((prop) => ({ ...prop, zFrom: prop.zFrom + z, zTo: prop.zTo + z }))

/** A leg straight forward from the seat, down on its heel, the toes up. */
function legToTheFloor(f: Scene['f'], start: Point3): Leg {
  const down = -asinOf((start.y - f.ankleH) / (f.thigh + f.shank))
  const knee = from(start, down, f.thigh)
  const ankle = from(knee, down, f.shank)
  return { hip: start, knee, ankle, toe: from(ankle, down + 85, f.footLength) }
}

/** How far out the knees of someone astride are, beside the seat. */
const besideSeat = (seat: Pile | undefined, f: Scene['f']): number =>
  Math.max(0, ...(seat?.pieces ?? []).map(({ across }) => across / 2)) + f.kneeR

/** Feet on the floor or their support, the knees bent to match; where the seat is too high the thighs lie on it and the feet hang. */
function seatedLeg(scene: Scene, start: Point3, seats: readonly PlacedProp[], kneeZ: number): Leg {
  const { f } = scene
  // Seen from the side a thigh that stands out is shorter by its slant.
  // Astride a seat wider than that it opens no further, whatever the seat.
  const out = Math.min(widest * f.thigh, Math.max(0, kneeZ - start.z))
  const along = Math.sqrt(f.thigh ** 2 - out ** 2)
  const outward = (point: Point3): Point3 => ({ ...point, z: point.z + out })
  const footY = f.ankleH + heightUnder(scene, 'feet')
  const thigh = (knee: Point3) => ({ a: start, b: outward(knee), ra: f.hipR * 0.9, rb: f.kneeR })
  const standing = reached(start, { x: along * 1.02, y: footY, z: start.z }, along, f.shank)
  const bent = middleJoint(start, standing, along, f.shank, { x: 1, y: 1, z: 0 })
  const lies = from(
    start,
    turnUntilContact(20, -40, (above) => isClear([thigh(from(start, above, along))], seats)),
    along,
  )
  const hangs = lies.y - f.shank > footY + 0.5
  const knee = hangs || !isClear([thigh(bent)], seats) ? lies : bent
  const ankle =
    knee === bent ? standing : reached(knee, { x: knee.x, y: Math.max(footY, knee.y - f.shank), z: knee.z }, f.shank, 0)
  return {
    hip: start,
    knee: outward(knee),
    ankle: outward(ankle),
    toe: outward(
      hangs ? from(ankle, -Math.min(25, asinOf((ankle.y - f.toeR) / f.footLength)), f.footLength) : flatFoot(ankle, f),
    ),
  }
}

interface ChairTrunk {
  readonly waist: Point3
  readonly shoulder: Point3
  readonly crown: Point3
  readonly props: readonly PlacedProp[]
  readonly top: number
  /** Where the chair's back stands that is leaned over. */
  readonly backX?: number
}

function upright(scene: Scene, hip: Point3): ChairTrunk {
  const { f } = scene
  const waist = from(hip, 92, f.lowTrunk)
  const shoulder = from(waist, 88, f.ribCage)
  return { waist, shoulder, crown: from(shoulder, 90, f.headNeck), props: [], top: 0 }
}

function leaning(
  figure: FigureOf<'chair'>,
  scene: Scene,
  hip: Point3,
  { seatH, nearest }: { readonly seatH: number; readonly nearest: number },
): ChairTrunk {
  const { f } = scene
  const pile = pileUnder(scene, 'head') ?? pileUnder(scene, 'arms')
  const { hipFlexDeg, roundDeg } = usualOf(figure)
  // Over the chair's own back one sits as far from it as the head needs; what stands apart stands before the knees.
  const baseAt = (ball: Point3, further: number): Surface => {
    const x = ball.x + 0.02 * f.stature + further
    return figure.over ? { x, y: seatH + backrest, degrees: 0 } : floorAt(Math.max(x, nearest + alongOf(pile) / 2))
  }
  const { trunk, pads } = foldOnto({
    scene,
    hip,
    lean: hipFlexDeg - 90,
    round: roundDeg,
    most: 1.8,
    pile,
    baseAt,
    others: [],
  })
  const [pad] = pads
  if (!figure.over || !pad) return { ...trunk, props: pads, top: pile?.height ?? 0 }
  const { left, right, high } = boundsOf(pad)
  return { ...trunk, props: pads, top: high, backX: (left + right) / 2 }
}
