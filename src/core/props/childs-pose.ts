import { amiss, refused } from '#core/result'
import { bodyOf } from './body.ts'
import type { OfBody } from './body.ts'
import { calculated, statureRange } from './calculated.ts'
import type { Calculated } from './calculated.ts'
import { asin, atan2, cos, sin } from './degrees.ts'

export interface ChildsPose {
  /** Positive where the shoulders are higher than the hips. */
  readonly torsoAngle: number
  readonly hipH: number
}

const steep = 25

/** Child's pose over a support: the angle of the torso [formula book 5h]. `UNREACHABLE`; warns `HEAD_LOW`, `STEEP`. */
export function childsPose({
  stature,
  measured,
  bolsterTop,
  seatPad = 0,
}: OfBody & { readonly bolsterTop: number; readonly seatPad?: number }): Calculated<ChildsPose> {
  const bad = amiss([
    ['stature', stature, ...statureRange],
    ['bolsterTop', bolsterTop, 0, 80],
    ['seatPad', seatPad, 0, 40],
  ])
  if (bad) return bad
  const { kneelHeel, hipAboveSeat, trunk, chestHalf } = bodyOf(stature, measured)
  const hipH = kneelHeel + hipAboveSeat + seatPad
  const reach = Math.hypot(trunk, chestHalf)
  if (Math.abs(bolsterTop - hipH) > reach) return refused('UNREACHABLE', 'bolsterTop')
  const torsoAngle = atan2(chestHalf, trunk) + asin((bolsterTop - hipH) / reach)
  return calculated({ torsoAngle, hipH }, [torsoAngle < 0 && 'HEAD_LOW', torsoAngle > steep && 'STEEP'])
}

/** The support's height for a wanted angle of the torso [formula book 5h, inverse]. */
export function childsPoseInv({
  stature,
  measured,
  torsoAngle,
  seatPad = 0,
}: OfBody & { readonly torsoAngle: number; readonly seatPad?: number }): Calculated<{
  readonly bolsterTop: number
  readonly hipH: number
}> {
  const bad = amiss([
    ['stature', stature, ...statureRange],
    ['torsoAngle', torsoAngle, -20, 60],
    ['seatPad', seatPad, 0, 40],
  ])
  if (bad) return bad
  const { kneelHeel, hipAboveSeat, trunk, chestHalf } = bodyOf(stature, measured)
  const hipH = kneelHeel + hipAboveSeat + seatPad
  return calculated({ bolsterTop: Math.max(0, hipH + trunk * sin(torsoAngle) - chestHalf * cos(torsoAngle)), hipH })
}
