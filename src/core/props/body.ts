import { mapRecord } from '#core/units'
/** Lengths of a body as shares of stature [formula book 4: Drillis & Contini, ANSUR, and estimates]. */
export const bodyShares = {
  thigh: 0.245,
  shank: 0.246,
  trunk: 0.288,
  headNeck: 0.182,
  upperArm: 0.186,
  forearm: 0.146,
  hand: 0.108,
  foot: 0.152,
  sitting: 0.52,
  ankleH: 0.039,
  popliteal: 0.245,
  hipAboveSeat: 0.05,
  sitBone: 0.05,
  hipToHeart: 0.19,
  heartToShoulder: 0.098,
  shoulderToEar: 0.112,
  hipAboveBack: 0.05,
  legToHeel: 0.51,
  heelR: 0.03,
  kneeR: 0.035,
  shoulderToForehead: 0.132,
  foreheadAnt: 0.055,
  chestHalf: 0.065,
  kneelHeel: 0.06,
} as const

export type BodyLength = keyof typeof bodyShares
export type Body = Readonly<Record<BodyLength, number>> & { readonly stature: number }
/** Lengths that were measured, in cm: each stands before its share of the stature. */
export type Measured = Readonly<Partial<Record<BodyLength, number>>>

/** All lengths of a body in cm, from its stature and whatever was measured. Within ±4 % where nothing was. */
export function bodyOf(stature: number, measured: Measured = {}): Body {
  const lengths = mapRecord(bodyShares, (share, name) => measured[name] ?? share * stature)
  return { ...lengths, stature }
}

/** Whose body a calculation is for: the stature in cm, and the lengths that were measured. */
export interface OfBody {
  readonly stature: number
  readonly measured?: Measured | undefined
}
