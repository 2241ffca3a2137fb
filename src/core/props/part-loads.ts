import type { BodyPart } from '#model/set-up'

/** What lies on a pile: the share of the body's mass and the area of contact in cm². */
export interface PartLoad {
  readonly share: number
  readonly contactCm2: number
}

/** Kinds of posture in which the same part weighs differently on its support. */
export type LoadCase = 'lying' | 'reclined' | 'folded' | 'seated' | 'prone'

const nothing: PartLoad = { share: 0, contactCm2: 100 }
const seat: PartLoad = { share: 0.78, contactCm2: 600 }
const trunkAlong: PartLoad = { share: 0.37, contactCm2: 1000 }

/**
 * Loads by part [formula book 3, from Dempster's masses and its sharing rule]. Marked [estimate] where the book has
 * no figure: neck, low back, belly, thighs, shins, ankles, feet, hands.
 */
const usual: Readonly<Record<BodyPart, PartLoad>> = {
  head: { share: 0.07, contactCm2: 120 },
  neck: { share: 0.015, contactCm2: 40 },
  upperBack: trunkAlong,
  lowBack: { share: 0.07, contactCm2: 300 },
  pelvis: { share: 0.31, contactCm2: 350 },
  belly: { share: 0.2, contactCm2: 500 },
  chest: trunkAlong,
  arms: { share: 0.025, contactCm2: 60 },
  hands: { share: 0.025, contactCm2: 60 },
  thighs: { share: 0.15, contactCm2: 250 },
  knees: { share: 0.15, contactCm2: 250 },
  shins: { share: 0.22, contactCm2: 600 },
  ankles: { share: 0.06, contactCm2: 100 },
  feet: { share: 0.06, contactCm2: 150 },
  eyes: nothing,
}

const oneKnee: PartLoad = { share: 0.07, contactCm2: 120 }
const byCase: Readonly<Record<LoadCase, Partial<Record<BodyPart, PartLoad>>>> = {
  lying: {},
  reclined: { pelvis: seat },
  folded: {
    head: { share: 0.05, contactCm2: 60 },
    chest: { share: 0.37, contactCm2: 900 },
    pelvis: seat,
    thighs: oneKnee,
  },
  seated: { head: { share: 0.05, contactCm2: 60 }, pelvis: seat },
  prone: { pelvis: { share: 0.31, contactCm2: 500 } },
}

/** The load on one pile under a part; of two equal piles each carries its side. */
export function partLoad(part: BodyPart, posture: LoadCase, piles: number): PartLoad {
  if (part === 'knees' && piles === 2) return oneKnee
  const { share, contactCm2 } = byCase[posture][part] ?? usual[part]
  return piles === 2 ? { share: share / 2, contactCm2: contactCm2 / 2 } : { share, contactCm2 }
}
