import { incline, inclineBlocks, pelvisRaised, secondBlock } from '#core/props'
import type { Calculated, Incline, LoadedPiece, Pile } from '#core/props'
import { lowBackBend } from './frame.ts'
import type { Point3 } from '../geometry/plane.ts'
import { cosOf, from, sinOf, turnUntilClear } from '../geometry/plane.ts'
import { alongOf, heightUnder, isClear, pileUnder, placed, stacked } from './scene.ts'
import type { PlacedProp, Scene } from './scene.ts'
import { floorAt, surfaceAt } from '../geometry/shape.ts'
import type { Surface } from '../geometry/shape.ts'
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
}

/** Something long enough to carry the back lengthwise starts here. */
const longEnough = 40
/** The bolster's head end stands this far past the block's hip-side edge, along its underside [formula book 5b]. */
const overhang = 10

/** The pile under the upper back told apart: what raises it, and the long support with what lies on it. */
export interface Slope {
  readonly blocks: readonly LoadedPiece[]
  readonly long: readonly LoadedPiece[]
  readonly blockH: number
  readonly thickness: number
  readonly length: number
  /** A block part of the way up. */
  readonly mid?: Pile
}

const sum = (pieces: readonly LoadedPiece[]): number => pieces.reduce((all, { loaded }) => all + loaded, 0)

/** The lengthwise support under the back; undefined where there is none. */
export function slopeOf(scene: Pick<Scene, 'piles'>): Slope | undefined {
  const pile = pileUnder(scene, 'upperBack')
  const at = pile?.pieces.findIndex(({ along, across }) => along >= longEnough && along >= across) ?? -1
  if (!pile || at < 0) return undefined
  const [blocks, long] = [pile.pieces.slice(0, at), pile.pieces.slice(at)]
  const mid = pileUnder(scene, 'lowBack')
  return {
    blocks,
    long,
    blockH: sum(blocks),
    thickness: sum(long),
    length: Math.max(...long.map(({ along }) => along)),
    ...(mid ? { mid } : {}),
  }
}

/** The incline of a slope, with its blocks where they stand: the head block near its end, another half way up. */
export function inclineOf(scene: Scene, slope: Slope): Calculated<Incline & { readonly free: number }> {
  const blocks = [
    { blockH: slope.blockH, along: slope.length - overhang },
    ...(slope.mid ? [{ blockH: slope.mid.height, along: slope.length / 2 }] : []),
  ]
  const carried = inclineBlocks({ blocks })
  if (!carried.ok) return carried
  const result = incline({
    stature: scene.f.stature,
    measured: scene.f,
    bolsterLen: slope.length,
    thickness: slope.thickness,
    blockH: (slope.length - overhang) * sinOf(carried.value.theta),
    overhang,
    seatH: heightUnder(scene, 'pelvis'),
    headPad: heightUnder(scene, 'head'),
  })
  return result.ok ? { ...result, value: { ...result.value, free: carried.value.free[0] ?? 0 } } : result
}

/** The long support on its blocks, and the hips before its low end [formula book 5b]; heads lie at the left. */
export function slopeBed(scene: Scene, slope: Slope): Calculated<Bed> {
  const { f } = scene
  const inclined = inclineOf(scene, slope)
  if (!inclined.ok) return inclined
  const theta = inclined.value.bolsterAngle
  // The underside rises to the left; seen along it, up is to its right, so it is laid from the head end back.
  const underside = (along: number, above: number): Surface => surfaceAt({ x: 0, y: 0, degrees: -theta }, -along, above)
  const long = stacked(slope.long, 'upperBack', underside(slope.length / 2, 0))
  const edge = -(slope.length - overhang) * cosOf(theta)
  const blocks = stacked(slope.blocks, 'upperBack', floorAt(edge - (slope.blocks[0]?.along ?? 0) / 2))
  const touches = slope.mid && theta >= 1 ? secondBlock({ theta, midBlockH: slope.mid.height }) : undefined
  const mid = slope.mid && touches?.ok ? placed(slope.mid, floorAt(-touches.value.floorX - alongOf(slope.mid) / 2)) : []
  const seat = pileUnder(scene, 'pelvis')
  const under = [...blocks, ...mid, ...long]
  const hip = slidOut(
    f,
    { x: slope.thickness * sinOf(theta) + f.hipAboveBack, y: heightUnder(scene, 'pelvis') + f.hipAboveSeat, z: 0 },
    under,
  )
  const seats = placed(seat, floorAt(slope.thickness * sinOf(theta) + 0.5 + alongOf(seat) / 2))
  return {
    ok: true,
    warnings: inclined.warnings,
    value: {
      hip,
      props: [...under, ...seats],
      top: { ...underside(0, slope.thickness), length: slope.length },
      least: -10,
    },
  }
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
  return { ok: true, warnings: raised.warnings, value: { hip: hipAt(y), props, least: -tilt - 25 } }
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
  return { hip: { x: 0, y: f.hipAboveBack, z: 0 }, props, least: 0 }
}
