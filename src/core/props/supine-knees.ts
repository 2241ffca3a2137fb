import { amiss, refused } from '#core/result'
import { bodyOf } from './body.ts'
import type { OfBody } from './body.ts'
import { calculated, statureRange } from './calculated.ts'
import type { Calculated } from './calculated.ts'
import { acos, asin, cos } from './degrees.ts'

export interface BoundAngleInput extends OfBody {
  /** 0: knees together pointing up; 90: level with the line from hip to ankle. */
  readonly abductionDeg: number
  /** Sit bones to heels, cm. */
  readonly heelGap?: number
  /** Where along the thigh the support stands. */
  readonly frac?: number
}

export interface BoundAngle {
  readonly kneeH: number
  readonly supportH: number
  readonly kneeRadius: number
  readonly kneeFlex: number
}

/** Reclined bound angle: how high the support under each thigh is [formula book 5f]. `UNREACHABLE` for the heels' distance. */
export function boundAngle({
  stature,
  measured,
  abductionDeg,
  heelGap = 20,
  frac = 0.85,
}: BoundAngleInput): Calculated<BoundAngle> {
  const bad = amiss([
    ['stature', stature, ...statureRange],
    ['abductionDeg', abductionDeg, 0, 90],
    ['heelGap', heelGap, 0, 120],
    ['frac', frac, 0.5, 1],
  ])
  if (bad) return bad
  const { thigh, shank, sitBone, heelR, hipAboveBack, kneeR } = bodyOf(stature, measured)
  const x = heelGap + sitBone + heelR
  const d = Math.hypot(x, hipAboveBack - heelR)
  if (d > thigh + shank || d < Math.abs(thigh - shank)) return refused('UNREACHABLE', 'heelGap')
  const cosA0 = (thigh ** 2 + d ** 2 - shank ** 2) / (2 * thigh * d)
  const rho = thigh * Math.sqrt(Math.max(0, 1 - cosA0 ** 2))
  const kneeH = hipAboveBack + ((heelR - hipAboveBack) * thigh * cosA0) / d + (rho * cos(abductionDeg) * x) / d
  return calculated({
    kneeH,
    supportH: Math.max(0, hipAboveBack + frac * (kneeH - hipAboveBack) - kneeR),
    kneeRadius: rho,
    kneeFlex: 180 - acos((thigh ** 2 + shank ** 2 - d ** 2) / (2 * thigh * shank)),
  })
}

export interface KneeBolster {
  readonly hipFlex: number
  readonly shankAngle: number
  readonly kneeFlex: number
  readonly hipToHeel: number
}

const kneesHigh = 60

/**
 * Lying with the knees over a support: a linkage of two bars [formula book 5g]. `UNREACHABLE`; warns
 * `NO_CONTACT` where the straight legs do not touch it, and `KNEES_HIGH`.
 */
export function kneeBolster({
  stature,
  measured,
  supportH,
  heelLift = 0,
}: OfBody & { readonly supportH: number; readonly heelLift?: number }): Calculated<KneeBolster> {
  const bad = amiss([
    ['stature', stature, ...statureRange],
    ['supportH', supportH, 0, 80],
    ['heelLift', heelLift, 0, 60],
  ])
  if (bad) return bad
  const { thigh, shank, hipAboveBack: zh, heelR, kneeR } = bodyOf(stature, measured)
  const za = heelR + heelLift
  if (Math.abs(za - zh) > thigh + shank) return refused('UNREACHABLE', 'heelLift')
  const straightH = zh + ((za - zh) * thigh) / (thigh + shank)
  const isApart = supportH + kneeR < straightH
  const zk = Math.max(supportH + kneeR, straightH)
  if (zk - zh > thigh || zk - za > shank) return refused('UNREACHABLE', 'supportH')
  const hipFlex = asin((zk - zh) / thigh)
  const shankAngle = asin((zk - za) / shank)
  const kneeFlex = isApart ? 0 : hipFlex + shankAngle
  return calculated({ hipFlex, shankAngle, kneeFlex, hipToHeel: thigh * cos(hipFlex) + shank * cos(shankAngle) }, [
    isApart && 'NO_CONTACT',
    kneeFlex > kneesHigh && 'KNEES_HIGH',
  ])
}
