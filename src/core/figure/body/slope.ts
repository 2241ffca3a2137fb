import { edgeLimit, incline, inclineBlocks, isLengthwise } from '#core/props'
import type { Calculated, LoadedPiece, Pile } from '#core/props'
import type { Point } from '../geometry/plane.ts'
import { sinOf } from '../geometry/plane.ts'
import type { SlopeNumbers } from '../numbers/numbers.ts'
import { heightUnder, pileUnder } from './scene.ts'
import type { Scene } from './scene.ts'

/** The bolster's head end stands this far past the block's hip-side edge, along its underside [formula book 5b]. */
export const overhang = 10

/** The pile under the upper back told apart: what raises it, and the long support with what lies on it. */
export interface Slope {
  readonly blocks: readonly LoadedPiece[]
  readonly long: readonly LoadedPiece[]
  readonly blockH: number
  readonly thickness: number
  readonly length: number
  /** A block part of the way up. */
  readonly mid?: Pile
  /** What its support leans by itself, degrees; no block carries it then. */
  readonly leanDeg?: number
}

/** A slope where it lies: its long support leans with its low end on the floor. */
export interface LaidSlope extends Slope {
  /** The low end on the floor. */
  readonly foot: Point
  /** The upper edge of the low end, which the waist comes to lie before. */
  readonly corner: Point
}

const sum = (pieces: readonly LoadedPiece[]): number => pieces.reduce((all, { loaded }) => all + loaded, 0)

/** The lengthwise support under the back; undefined where there is none. */
export function slopeOf(scene: Pick<Scene, 'piles'>): Slope | undefined {
  const pile = pileUnder(scene, 'upperBack')
  const at = pile?.pieces.findIndex(isLengthwise) ?? -1
  if (!pile || at < 0) return undefined
  const [blocks, long] = [pile.pieces.slice(0, at), pile.pieces.slice(at)]
  const leaning = long.find(({ leanDeg }) => leanDeg !== undefined)
  if (leaning?.leanDeg !== undefined) {
    const { along: length, leanDeg } = leaning
    return { blocks: [], long, blockH: (length - overhang) * sinOf(leanDeg), thickness: sum(long), length, leanDeg }
  }
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
export function inclineOf(
  scene: Pick<Scene, 'f' | 'piles'>,
  slope: Slope,
  seatH = heightUnder(scene, 'pelvis'),
): Calculated<SlopeNumbers> {
  const { f } = scene
  const blocks = [
    { blockH: slope.blockH, along: slope.length - overhang },
    ...(slope.mid ? [{ blockH: slope.mid.height, along: slope.length / 2 }] : []),
  ]
  const carried = inclineBlocks({ blocks })
  if (!carried.ok) return carried
  const result = incline({
    stature: f.stature,
    measured: f,
    bolsterLen: slope.length,
    thickness: slope.thickness,
    blockH: (slope.length - overhang) * sinOf(carried.value.theta),
    overhang,
    seatH,
    headPad: heightUnder(scene, 'head'),
  })
  if (!result.ok) return result
  return { ...result, value: { ...result.value, free: carried.value.free[0] ?? 0, edgeLimit: edgeLimit(f.stature) } }
}

/** The highest seat that is tried, cm [formula book 5b, range of `seatH`]. */
const highestSeat = 30

/** The least seat, to half a centimetre, that brings the low end's edge within its limit; undefined where none does. */
export function seatForEdge(scene: Pick<Scene, 'f' | 'piles'>, slope: Slope): number | undefined {
  const now = Math.ceil(heightUnder(scene, 'pelvis') * 2) / 2
  for (let seatH = now; seatH <= highestSeat; seatH += 0.5) {
    const raised = inclineOf(scene, slope, seatH)
    if (raised.ok && raised.value.edge <= raised.value.edgeLimit) return seatH
  }
  return undefined
}
