import { amiss, refused } from '#core/result'
import { bodyOf } from './body.ts'
import type { OfBody } from './body.ts'
import { calculated, statureRange } from './calculated.ts'
import type { Calculated } from './calculated.ts'
import { sin } from './degrees.ts'

export interface SeatCrossInput extends OfBody {
  /** Angle of the thigh above the horizontal; or the knee's height, measured. */
  readonly thighUpDeg?: number
  /** Height of the knee's centre sitting cross-legged on the floor, cm. */
  readonly kneeH0?: number
  /** How far the knees are to be under the hips, cm. */
  readonly margin?: number
  /** How much of the seat's height the knees rise with it, 0 to 0.8 [estimate]. */
  readonly coupling?: number
}

export interface SeatCross {
  readonly kneeH0: number
  readonly seatH: number
  readonly kneeH: number
  readonly kneeGap: number
}

const mostSeat = 30

/** The seat that brings the knees no higher than the hips, and what fills under them [formula book 5d]. `USE_CHAIR` past 30 cm. */
export function seatCross({
  stature,
  measured,
  thighUpDeg,
  kneeH0,
  margin = 2,
  coupling = 0.25,
}: SeatCrossInput): Calculated<SeatCross> {
  const knee =
    kneeH0 === undefined ? (['thighUpDeg', thighUpDeg, -30, 60] as const) : (['kneeH0', kneeH0, 0, 60] as const)
  const bad = amiss([['stature', stature, ...statureRange], knee, ['margin', margin], ['coupling', coupling, 0, 0.8]])
  if (bad) return bad
  const body = bodyOf(stature, measured)
  const k0 = Math.max(kneeH0 ?? body.hipAboveSeat + body.thigh * sin(thighUpDeg ?? 0), body.kneeR)
  const seatH = Math.max(0, (k0 + margin - body.hipAboveSeat) / (1 - coupling))
  if (seatH > mostSeat) return refused('USE_CHAIR', 'seatH', { seatH })
  const kneeH = k0 + coupling * seatH
  return calculated({ kneeH0: k0, seatH, kneeH, kneeGap: Math.max(0, kneeH - body.kneeR) })
}

export interface ChairFeet {
  readonly footSupport: number
  readonly seatRaise: number
}

/** What goes under the feet, or onto the seat, so that the thighs lie level on a chair [formula book 5d]. */
export function chairFeet({
  stature,
  measured,
  seatH,
  popliteal,
}: OfBody & { readonly seatH: number; readonly popliteal?: number }): Calculated<ChairFeet> {
  const bad = amiss([
    ['stature', stature, ...statureRange],
    ['seatH', seatH, 20, 80],
    ['popliteal', popliteal ?? 1, Number.MIN_VALUE],
  ])
  if (bad) return bad
  const difference = seatH - (popliteal ?? bodyOf(stature, measured).popliteal)
  return calculated({ footSupport: Math.max(0, difference), seatRaise: Math.max(0, -difference) })
}
