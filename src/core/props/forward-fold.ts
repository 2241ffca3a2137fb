import { amiss, refused } from '#core/result'
import type { Refused } from '#core/result'
import { bodyOf } from './body.ts'
import type { OfBody } from './body.ts'
import { calculated, statureRange } from './calculated.ts'
import type { Calculated, CalculationCode } from './calculated.ts'
import { acos, asin, atan2, cos, radians, sin } from './degrees.ts'

export interface ForwardFoldInput extends OfBody {
  /** Flexion of the hip: standing 0, sitting upright on level thighs 90. */
  readonly hipFlexDeg: number
  readonly seatH?: number
  /** Rounding of the whole spine, spread as an arc. */
  readonly roundDeg?: number
  readonly neckDeg?: number
  /** Where the head's support stands. */
  readonly base?: 'floor' | 'legs'
  readonly legSlopeDeg?: number
}

export interface ForwardFold {
  readonly trunkLean: number
  readonly legSlope: number
  readonly headSupportH: number
  readonly headX: number
}

/** A fold as it stands at the start: what does not change while the pelvis tips further. */
interface Folded {
  readonly lean: number
  readonly delta: number
  readonly zh: number
  readonly reach: number
  readonly eps: number
  readonly kneeR: number
  readonly onLegs: boolean
  readonly isPastFeet: boolean
}

function folded(input: ForwardFoldInput): Refused<CalculationCode> | Folded {
  const { stature, measured, hipFlexDeg, seatH = 0, roundDeg = 30, neckDeg = 20, base = 'floor', legSlopeDeg } = input
  const bad = amiss([
    ['stature', stature, ...statureRange],
    ['hipFlexDeg', hipFlexDeg, 40, 170],
    ['seatH', seatH, 0, 60],
    ['roundDeg', roundDeg, 0, 90],
    ['neckDeg', neckDeg, -20, 50],
    ['legSlopeDeg', legSlopeDeg ?? 0, -30, 60],
  ])
  if (bad) return bad
  if (!['floor', 'legs'].includes(base)) return refused('OUT_OF_RANGE', 'base')
  const body = bodyOf(stature, measured)
  const zh = seatH + body.hipAboveSeat
  if (legSlopeDeg === undefined && zh - body.heelR > body.legToHeel) return refused('UNREACHABLE', 'seatH')
  const delta = legSlopeDeg ?? asin((zh - body.heelR) / body.legToHeel)
  const lean = hipFlexDeg - 90 + delta
  if (lean < 0) {
    const seatNeeded = Math.max(0, body.legToHeel * sin(90 - hipFlexDeg) - body.hipAboveSeat + body.heelR)
    return refused('RAISE_SEAT', 'seatH', { seatNeeded: legSlopeDeg === undefined ? seatNeeded : null })
  }
  const half = roundDeg / 2
  const chord = roundDeg === 0 ? body.trunk : (body.trunk * sin(half)) / radians(half)
  const { shoulderToForehead: n, foreheadAnt: a } = body
  const p = chord * cos(half) + n * cos(roundDeg + neckDeg) - a * sin(roundDeg + neckDeg)
  const q = chord * sin(half) + n * sin(roundDeg + neckDeg) + a * cos(roundDeg + neckDeg)
  const [reach, eps] = [Math.hypot(p, q), atan2(q, p)]
  const isPastFeet = base === 'legs' && reach * sin(lean + eps) > body.legToHeel * cos(delta)
  return { lean, delta, zh, reach, eps, kneeR: body.kneeR, onLegs: base === 'legs' && !isPastFeet, isPastFeet }
}

const supportAt = ({ delta, zh, reach, eps, kneeR, onLegs }: Folded, lean: number): number =>
  Math.max(0, onLegs ? (reach / cos(delta)) * cos(lean + eps - delta) - kneeR : zh + reach * cos(lean + eps))

/**
 * How high the forehead's support stands in a seated forward fold, and where [formula book 5e].
 * `RAISE_SEAT` (with `seatNeeded`) while the pelvis still tips back; warns `PAST_FEET`, `NO_SUPPORT_NEEDED`.
 */
export function forwardFold(input: ForwardFoldInput): Calculated<ForwardFold> {
  const fold = folded(input)
  if ('ok' in fold) return fold
  const headSupportH = supportAt(fold, fold.lean)
  return calculated(
    { trunkLean: fold.lean, legSlope: fold.delta, headSupportH, headX: fold.reach * sin(fold.lean + fold.eps) },
    [fold.isPastFeet && 'PAST_FEET', headSupportH === 0 && 'NO_SUPPORT_NEEDED'],
  )
}

export interface ForwardFoldHoldInput extends ForwardFoldInput {
  /** How much further the hips come in a long hold, degrees. */
  readonly gainDeg: number
  readonly holdS: number
  /** How soon: seconds of the exponential. */
  readonly tau?: number
  /** Thickness of a layer that can be taken out, cm. */
  readonly layer?: number
}

export interface ForwardFoldHold {
  readonly startH: number
  readonly endH: number
  readonly drop: number
  readonly endLean: number
  readonly removeAtS: readonly number[]
}

/** How far the forehead sinks during a hold, and when a layer can be taken out [formula book 5e, during a hold]. */
export function forwardFoldHold(input: ForwardFoldHoldInput): Calculated<ForwardFoldHold> {
  const { gainDeg, holdS, tau = 90, layer = 2 } = input
  const bad = amiss([
    ['gainDeg', gainDeg],
    ['holdS', holdS],
    ['tau', tau],
    ['layer', layer],
  ])
  const fold = folded(input)
  if ('ok' in fold && fold.code === 'NOT_FINITE') return fold
  if (bad) return bad
  const outside = amiss([
    ['gainDeg', gainDeg, 0, 30],
    ['holdS', holdS, 0, 1800],
    ['tau', tau, 10, 600],
    ['layer', layer, 0.2, 20],
  ])
  if ('ok' in fold && fold.code === 'OUT_OF_RANGE') return fold
  if (outside) return outside
  if ('ok' in fold) return fold
  const endLean = fold.lean + gainDeg * (1 - Math.exp(-holdS / tau))
  const [startH, endH] = [supportAt(fold, fold.lean), supportAt(fold, endLean)]
  const drop = startH - endH
  const leanFor = (height: number): number =>
    fold.onLegs
      ? acos(((height + fold.kneeR) * cos(fold.delta)) / fold.reach) - fold.eps + fold.delta
      : acos((height - fold.zh) / fold.reach) - fold.eps
  const layers = gainDeg === 0 ? 0 : Math.max(0, Math.floor(drop / layer))
  const removeAtS = Array.from({ length: layers }, (_, at) => {
    const share = (leanFor(startH - (at + 1) * layer) - fold.lean) / gainDeg
    return share >= 1 ? holdS : Math.min(holdS, -tau * Math.log(1 - share))
  })
  return calculated({ startH, endH, drop, endLean, removeAtS }, [
    fold.isPastFeet && 'PAST_FEET',
    startH === 0 && 'NO_SUPPORT_NEEDED',
  ])
}
