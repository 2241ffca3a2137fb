import { amiss, refused } from '#core/result'
import { bodyOf } from './body.ts'
import type { OfBody } from './body.ts'
import { calculated, statureRange } from './calculated.ts'
import type { Calculated } from './calculated.ts'
import { asin } from './degrees.ts'

export interface PelvisRaisedInput extends OfBody {
  readonly pelvisH: number
  readonly shoulderPad?: number
  readonly headPad?: number
  /** Back length between shoulder contact and the support's edge; the whole trunk for a support under the sacrum. */
  readonly slopeLen?: number
}

export interface PelvisRaised {
  readonly slope: number
  /** Negative where the head is higher. */
  readonly headBelowHeart: number
  readonly headBelowPelvis: number
}

const steep = 30
/** The head may lie this share of the stature higher than the shoulders. */
const mostHeadPad = 0.02

/**
 * Lying with the pelvis raised: the slope, and how far the head is below the heart [formula book 5c].
 * `UNREACHABLE`; warns `STEEP` and `NECK_FLEXED_UNDER_LOAD`.
 */
export function pelvisRaised({
  stature,
  measured,
  pelvisH,
  shoulderPad = 0,
  headPad = 0,
  slopeLen,
}: PelvisRaisedInput): Calculated<PelvisRaised> {
  const badStature = amiss([
    ['stature', stature],
    ['pelvisH', pelvisH],
    ['shoulderPad', shoulderPad],
    ['headPad', headPad],
    ['slopeLen', slopeLen ?? 0],
  ])
  if (badStature) return badStature
  const { trunk, heartToShoulder } = bodyOf(stature, measured)
  const q = slopeLen ?? trunk
  const bad = amiss([
    ['stature', stature, ...statureRange],
    ['pelvisH', pelvisH, 0, 60],
    ['shoulderPad', shoulderPad, 0, 20],
    ['headPad', headPad, 0, 20],
    ['slopeLen', q, 5, trunk],
  ])
  if (bad) return bad
  const rise = pelvisH - shoulderPad
  if (rise < 0) return refused('OUT_OF_RANGE', 'shoulderPad')
  if (rise >= q) return refused('UNREACHABLE', 'pelvisH')
  const slope = asin(rise / q)
  return calculated(
    {
      slope,
      headBelowHeart: shoulderPad - headPad + rise * Math.min(1, heartToShoulder / q),
      headBelowPelvis: pelvisH - headPad,
    },
    [slope > steep && 'STEEP', headPad > shoulderPad + mostHeadPad * stature && 'NECK_FLEXED_UNDER_LOAD'],
  )
}
