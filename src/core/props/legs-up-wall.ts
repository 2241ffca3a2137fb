import { amiss, refused } from '#core/result'
import { bodyOf } from './body.ts'
import type { OfBody } from './body.ts'
import { calculated, statureRange } from './calculated.ts'
import type { Calculated } from './calculated.ts'
import { acos, atan2, cos, sin } from './degrees.ts'

export interface LegsUpWallInput extends OfBody {
  /** Comfortable straight-leg raise from the trunk line, degrees. */
  readonly slrDeg: number
  /** Loaded height under the pelvis, cm. */
  readonly supportH?: number
  /** How far the pelvis tips tailbone-down over the support's edge, degrees. */
  readonly tailDropDeg?: number
  readonly legToHeel?: number
  /** How far the sit bones stand over the support's edge, cm. */
  readonly overhang?: number
}

export interface LegsUpWall {
  readonly sitBoneToWall: number
  readonly legAngle: number
  readonly hipToWall: number
  readonly tailDrop: number
  readonly touching: boolean
  readonly heelHeight: number
  readonly supportEdgeToWall: number | null
  readonly floorDepth: number
}

const leastAngle = 40
const farAngle = 60

/**
 * Legs up the wall: how far the sit bones lie from it, the angle of the legs, and the floor it takes
 * [formula book 5a]. `USE_CHAIR` where the legs would lie lower than 40°; warns `FAR_FROM_WALL` under 60°.
 */
export function legsUpWall({
  stature,
  measured,
  slrDeg,
  supportH = 0,
  tailDropDeg,
  legToHeel,
  overhang = 3,
}: LegsUpWallInput): Calculated<LegsUpWall> {
  const bad = amiss([
    ['stature', stature, ...statureRange],
    ['slrDeg', slrDeg, 0, 130],
    ['supportH', supportH, 0, 40],
    ['tailDropDeg', tailDropDeg ?? 0, 0, 20],
    ['legToHeel', legToHeel ?? 1, Number.MIN_VALUE],
    ['overhang', overhang],
  ])
  if (bad) return bad
  const body = bodyOf(stature, legToHeel === undefined ? measured : { ...measured, legToHeel })
  const { legToHeel: leg, heelR: r, sitBone: s } = body
  const gamma = tailDropDeg ?? Math.min(10, 0.5 * supportH)
  const wanted = Math.min(90, slrDeg - gamma)
  if (wanted < leastAngle) return refused('USE_CHAIR', 'slrDeg')
  const raw = leg * cos(wanted) + r * sin(wanted) - s * cos(gamma)
  const touching = raw <= 0
  // The sit bones at the wall, the legs a little off the vertical.
  const theta = touching ? atan2(r, leg) + acos((s * cos(gamma)) / Math.hypot(leg, r)) : wanted
  const sitBoneToWall = Math.max(0, raw)
  const hipToWall = sitBoneToWall + s * cos(gamma)
  return calculated(
    {
      sitBoneToWall,
      legAngle: theta,
      hipToWall,
      tailDrop: gamma,
      touching,
      heelHeight: supportH + body.hipAboveBack + leg * sin(theta) - r * cos(theta),
      supportEdgeToWall: supportH === 0 ? null : sitBoneToWall + overhang,
      floorDepth: hipToWall + body.trunk + body.headNeck,
    },
    [wanted < farAngle && 'FAR_FROM_WALL'],
  )
}
