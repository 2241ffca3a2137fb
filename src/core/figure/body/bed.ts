import { isLengthwise, pelvisRaised, secondBlock } from '#core/props'
import type { Calculated, Pile } from '#core/props'
import { lowBackBend } from './frame.ts'
import type { Point, Point3 } from '../geometry/plane.ts'
import { cosOf, from, sinOf, turnUntilClear } from '../geometry/plane.ts'
import { alongOf, heightUnder, isClear, pileUnder, placed, stacked } from './scene.ts'
import type { PlacedProp, Scene } from './scene.ts'
import { floorAt, surfaceAt } from '../geometry/shape.ts'
import type { Surface } from '../geometry/shape.ts'
import type { BookNumbers } from '../numbers/numbers.ts'
import { inclineOf, overhang } from './slope.ts'
import type { LaidSlope, Slope } from './slope.ts'
import { layTrunk } from './trunk.ts'
import type { Lie } from './trunk.ts'

export const onTheBack: Lie = { towards: -1, face: 'up' }

/** What the trunk of someone lying on the back lies on. */
export interface Bed {
  readonly hip: Point3
  readonly props: readonly PlacedProp[]
  /** The lengthwise support's top face from its low end towards the head, and how long it is; absent when flat. */
  readonly top?: Surface & { readonly length: number }
  /** How the lowest part of the trunk may lie, degrees above the floor. */
  readonly least: number
  /** The book's numbers it was built from. */
  readonly numbers: BookNumbers
  readonly slope?: LaidSlope
}

/** The long support on its blocks, and the hips before its low end [formula book 5b]; heads lie at the left. */
export function slopeBed(scene: Scene, slope: Slope): Calculated<Bed> {
  const { f } = scene
  const inclined = inclineOf(scene, slope)
  if (!inclined.ok) return inclined
  const theta = inclined.value.bolsterAngle
  // The underside rises to the left; seen along it, up is to its right, so it is laid from the head end back.
  const underside = (along: number, above: number): Surface => surfaceAt({ x: 0, y: 0, degrees: -theta }, -along, above)
  const long = stacked(slope.long, 'upperBack', underside(slope.length / 2, 0), { role: 'slope' })
  const edge = -(slope.length - overhang) * cosOf(theta)
  const blocks = stacked(slope.blocks, 'upperBack', floorAt(edge - (slope.blocks[0]?.along ?? 0) / 2), {
    role: 'riser',
  })
  const touches = slope.mid && theta >= 1 ? secondBlock({ theta, midBlockH: slope.mid.height }) : undefined
  const mid = slope.mid && touches?.ok ? placed(slope.mid, floorAt(-touches.value.floorX - alongOf(slope.mid) / 2)) : []
  const seat = pileUnder(scene, 'pelvis')
  const under = [...blocks, ...mid, ...long]
  const hip = slidOut(
    f,
    { x: slope.thickness * sinOf(theta) + f.hipAboveBack, y: heightUnder(scene, 'pelvis') + f.hipAboveSeat, z: 0 },
    under,
  )
  const top = underside(0, slope.thickness)
  const seats = placed(seat, floorAt(slope.thickness * sinOf(theta) + 0.5 + alongOf(seat) / 2))
  return {
    ok: true,
    warnings: inclined.warnings,
    value: {
      hip,
      props: [...under, ...seats],
      top: { ...top, length: slope.length },
      least: -10,
      numbers: { incline: inclined },
      slope: { ...slope, foot: { x: 0, y: 0 }, corner: lowCorner(long) },
    },
  }
}

/** The upper edge at the low end of a slope that rises to the left, on its rounding. */
function lowCorner(long: readonly PlacedProp[]): Point {
  const { core, radius } = long.findLast(({ piece }) => isLengthwise(piece)) ?? { core: [], radius: 0 }
  const [first = { x: 0, y: 0 }, ...others] = core
  const corner = others.reduce((best, point) => (point.x + point.y > best.x + best.y ? point : best), first)
  return { x: corner.x + radius * Math.SQRT1_2, y: corner.y + radius * Math.SQRT1_2 }
}

/** Farthest the hips slide off the low end so that the back can lie down, as a share of the stature [estimate]. */
const mostSlide = 0.14

/**
 * The hips where the book has them, or slid out from the low end as far as the drawn back needs to come to lie on
 * it: the book's trunk is rigid and goes through the low end's edge, a drawn one bends over it.
 */
function slidOut(f: Scene['f'], hip: Point3, props: readonly PlacedProp[]): Point3 {
  const lies = (out: number): boolean => {
    const laid = layTrunk(f, onTheBack, { ...hip, x: hip.x + out }, props, { least: -10 })
    return laid.low - laid.ribs < lowBackBend.back - 0.5
  }
  if (lies(0)) return hip
  // Further out it only lies flatter, so the least way is found by halving.
  let [short, far] = [0, mostSlide * f.stature]
  for (let halving = 0; halving < 4; halving += 1) {
    const middle = (short + far) / 2
    if (lies(middle)) far = middle
    else short = middle
  }
  return { ...hip, x: hip.x + far }
}

/** How much of a raised pelvis's slope the drawn pelvis takes; the rib cage takes the rest [estimate]. */
const pelvisShare = 0.8

/**
 * The pelvis on a pile, the shoulders on the floor or their own pad [formula book 5c]. The pile lies under the sacrum,
 * or with its foot-side edge where `footEdge` says, cm from the hip joints towards the feet.
 */
export function raisedBed(scene: Scene, pile: Pile, footEdge?: number): Calculated<Bed> {
  const { f } = scene
  const shoulderPad = Math.min(heightUnder(scene, 'upperBack'), pile.height)
  const raised = pelvisRaised({
    stature: f.stature,
    measured: f,
    pelvisH: pile.height,
    shoulderPad,
    headPad: heightUnder(scene, 'head'),
  })
  if (!raised.ok) return raised
  const tilt = raised.value.slope * pelvisShare
  const width = alongOf(pile)
  // Under the sacrum, just headwards of the hip joints: a wide pile goes on towards the feet, not under the waist.
  const centre =
    footEdge === undefined ? Math.max(-0.045 * f.stature, width / 2 - 0.085 * f.stature) : footEdge - width / 2
  const props = placed(pile, floorAt(centre))
  const hipAt = (y: number): Point3 => ({ x: 0, y, z: 0 })
  const y = turnUntilClear(pile.height, pile.height + 25, (height) => {
    const hip = hipAt(height)
    return isClear([{ a: hip, b: from(hip, 180 + tilt, f.lowTrunk), ra: f.hipR, rb: f.waistR }], props)
  })
  return {
    ok: true,
    warnings: raised.warnings,
    value: { hip: hipAt(y), props, least: -tilt - 25, numbers: { raised } },
  }
}

/** Flat on the floor, or over whatever lies across under the back. */
export function flatBed(scene: Scene): Bed {
  const { f } = scene
  const at = {
    upperBack: -(f.lowTrunk + f.ribCage * 0.6),
    lowBack: -f.lowTrunk * 0.75,
    chest: -(f.lowTrunk + f.ribCage * 0.6),
  }
  const props = (['upperBack', 'lowBack', 'chest'] as const).flatMap((part) =>
    placed(pileUnder(scene, part), floorAt(at[part])),
  )
  return { hip: { x: 0, y: f.hipAboveBack, z: 0 }, props, least: 0, numbers: {} }
}
