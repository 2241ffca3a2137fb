import { mapRecord } from '#core/units'
import type { Body } from '#core/props'

/**
 * What the drawing needs beyond the lengths of the formula book, as shares of the stature [estimates]: the parts of
 * the trunk as decided, half the breadths of hips and shoulders, and how thick the flesh is round each joint.
 */
const shares = {
  hipHalf: 0.05,
  shoulderHalf: 0.11,
  headAlong: 0.117,
  headR: 0.055,
  neckR: 0.03,
  hipR: 0.05,
  waistR: 0.038,
  chestR: 0.05,
  chestFront: 0.065,
  thighR: 0.048,
  armR: 0.024,
  wristR: 0.016,
  footLength: 0.114,
  toeR: 0.015,
} as const

/** Where the trunk bends, as a share of its length from the hip joint: 0.130 of the 0.288 of the stature. */
const lowTrunkShare = 0.13 / 0.288

export type FrameLength = keyof typeof shares | 'lowTrunk' | 'ribCage'
export type Frame = Body & Readonly<Record<FrameLength, number>>

/** The body with the drawing's own lengths, cm. */
export function frameOf(body: Body): Frame {
  const own = mapRecord(shares, (share) => share * body.stature)
  return { ...body, ...own, lowTrunk: body.trunk * lowTrunkShare, ribCage: body.trunk * (1 - lowTrunkShare) }
}

/** How far the trunk and the neck bend between their parts, degrees: back and forward [decided, estimates]. */
export const lowBackBend = { back: 30, forward: 60 } as const
export const neckBend = { back: 20, forward: 50 } as const
