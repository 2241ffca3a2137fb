import { amiss, refused } from '#core/result'
import { bodyOf } from './body.ts'
import type { OfBody } from './body.ts'
import { calculated, statureRange } from './calculated.ts'
import type { Calculated } from './calculated.ts'
import { asin, atan2, cos, sin, tan } from './degrees.ts'

export interface InclineInput extends OfBody {
  readonly bolsterLen: number
  /** Loaded thickness of the bolster, cm. */
  readonly thickness: number
  readonly blockH: number
  /** From the bolster's head end to the block's hip-side top edge, along the underside. */
  readonly overhang?: number
  readonly gap?: number
  readonly seatH?: number
  readonly headPad?: number
}

export interface Incline {
  readonly bolsterAngle: number
  readonly trunkAngle: number
  readonly shoulderAlong: number
  readonly edge: number
  readonly headAboveHeart: number
  readonly shoulderH: number
}

const steepest = 60
const steep = 45
/** The bolster's low corner may stand this share of the stature proud of a straight back. */
const mostEdge = 0.05

/** How far the bolster's low corner may stand proud of a straight back, cm [formula book 5b]. */
export const edgeLimit = (stature: number): number => mostEdge * stature

/**
 * Reclining on a bolster that lies on a block [formula book 5b]: its angle, the trunk's, and where shoulders
 * and head come. `UNREACHABLE`, `TOO_STEEP`, `BOLSTER_TOO_SHORT`; warns `HEAD_OFF_END`, `LUMBAR_EDGE`, `STEEP`.
 */
export function incline(input: InclineInput): Calculated<Incline> {
  const { stature, measured, bolsterLen, thickness, blockH, overhang = 10, gap = 0, seatH = 0, headPad = 0 } = input
  const bad = amiss([
    ['stature', stature, ...statureRange],
    ['bolsterLen', bolsterLen, 20, 150],
    ['thickness', thickness, 0, 40],
    ['blockH', blockH, 0, 80],
    ['overhang', overhang],
    ['gap', gap, 0, 30],
    ['seatH', seatH, 0, 30],
    ['headPad', headPad, 0, 20],
  ])
  if (bad) return bad
  const p = bolsterLen - overhang
  if (overhang >= bolsterLen || blockH >= p) return refused('UNREACHABLE', 'blockH')
  const theta = asin(blockH / p)
  if (theta > steepest) return refused('TOO_STEEP', 'blockH')
  const body = bodyOf(stature, measured)
  const { trunk, hipAboveBack: w } = body
  const back = thickness * sin(theta) + gap + w
  const c = seatH + body.hipAboveSeat
  const k = thickness - back * sin(theta) - c * cos(theta)
  const reach = Math.hypot(trunk, w)
  if (Math.abs(k) > reach) return refused('UNREACHABLE', 'thickness')
  const x = atan2(w, trunk) + asin(k / reach)
  const psi = theta + x
  if (psi < 0 || psi > 90) return refused('UNREACHABLE', 'thickness')
  const shoulderAlong = -back * cos(theta) + c * sin(theta) + trunk * cos(x) + w * sin(x)
  if (shoulderAlong > bolsterLen) return refused('BOLSTER_TOO_SHORT', 'bolsterLen')
  const edge = (thickness * cos(theta) - c) * cos(psi) - (gap + w) * sin(psi) + w
  return calculated(
    {
      bolsterAngle: theta,
      trunkAngle: psi,
      shoulderAlong,
      edge,
      headAboveHeart: body.heartToShoulder * sin(psi) + body.shoulderToEar * sin(theta) + headPad * cos(theta),
      shoulderH: c + trunk * sin(psi),
    },
    [
      shoulderAlong + body.shoulderToEar > bolsterLen && 'HEAD_OFF_END',
      edge > edgeLimit(stature) && 'LUMBAR_EDGE',
      theta > steep && 'STEEP',
    ],
  )
}

export interface SecondBlock {
  /** From the bolster's low edge along the floor, cm. */
  readonly floorX: number
  readonly alongBolster: number
}

/** Where a second, lower block touches the underside of an inclined bolster [formula book 5b]. */
export function secondBlock({
  theta,
  midBlockH,
}: {
  readonly theta: number
  readonly midBlockH: number
}): Calculated<SecondBlock> {
  const bad = amiss([
    ['theta', theta, 1, 60],
    ['midBlockH', midBlockH, 0, 80],
  ])
  return bad ?? calculated({ floorX: midBlockH / tan(theta), alongBolster: midBlockH / sin(theta) })
}

export interface InclineBlocksInput {
  /** Each block's loaded height and its hip-side top edge: along the underside from the low edge, or along the floor. */
  readonly blocks: readonly (
    { readonly blockH: number; readonly along: number } | { readonly blockH: number; readonly floorX: number }
  )[]
}

export interface InclineBlocks {
  readonly theta: number
  /** How far the bolster hangs free above each block, cm: 0 over the one that carries it. */
  readonly free: readonly number[]
}

const mostFree = 1

/**
 * A bolster over several blocks: the steepest carries it, the others hang free by X tan θ − h [formula book 5b].
 * `UNREACHABLE` and `TOO_STEEP` name the block; warns `HANGS_FREE` past 1 cm.
 */
export function inclineBlocks({ blocks }: InclineBlocksInput): Calculated<InclineBlocks> {
  const angles: number[] = []
  for (const [at, block] of blocks.entries()) {
    const field = `blocks[${String(at)}]`
    const place = 'along' in block ? block.along : block.floorX
    const bad = amiss([
      [field, block.blockH, 0, 80],
      [field, place, Number.MIN_VALUE],
    ])
    if (bad) return bad
    if ('along' in block && block.blockH >= place) return refused('UNREACHABLE', field)
    const angle = 'along' in block ? asin(block.blockH / place) : atan2(block.blockH, place)
    if (angle > steepest) return refused('TOO_STEEP', field)
    angles.push(angle)
  }
  const theta = Math.max(0, ...angles)
  const free = blocks.map((block) => {
    const underside = 'along' in block ? block.along * sin(theta) : block.floorX * tan(theta)
    return Math.max(0, underside - block.blockH)
  })
  return calculated({ theta, free }, [free.some((gap) => gap > mostFree) && 'HANGS_FREE'])
}
