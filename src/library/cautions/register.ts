import type { Family } from '#model/family'

type Minutes = readonly [asNew: number, regular: number, experienced: number]

/** First ceilings, minutes a side for people with no flags, by level [cautions reference 2.1]. */
const usual: Readonly<Record<Family, Minutes>> = {
  sup_rest: [10, 15, 20],
  legs_up_flat: [5, 10, 15],
  pelvis_raised: [3, 5, 10],
  head_low: [1, 2, 3],
  half_fold: [1, 2, 3],
  prone: [3, 5, 10],
  prone_bb: [1, 3, 5],
  sup_bb: [3, 5, 10],
  recl_kneel: [1, 3, 5],
  fold_seated: [2, 4, 5],
  fold_one_leg: [2, 4, 5],
  fold_wide: [2, 4, 6],
  wide_lying: [2, 4, 6],
  bound_seated: [2, 5, 8],
  bound_reclined: [5, 10, 15],
  child: [2, 5, 10],
  puppy: [1, 2, 4],
  lunge: [1, 2, 4],
  pigeon: [2, 4, 5],
  hip_supine: [2, 4, 5],
  leg_raised: [1, 3, 4],
  twist_supine: [2, 4, 5],
  twist_bolster: [2, 4, 7],
  twist_seated: [0.5, 1, 2],
  shoulder_cross: [1, 2, 3],
  clasp_back: [0.5, 1, 2],
  inversion: [0, 1, 3],
  feet_squat: [0.5, 1, 2],
  side_bend: [1, 3, 5],
  seat: [5, 15, 30],
  side_sit: [2, 4, 5],
  all_fours: [1, 2, 3],
  standing: [1, 2, 3],
  heel_sit: [1, 3, 5],
  side_rest: [10, 15, 20],
  final_rest: [8, 12, 20],
}

/** Fully supported forms get more [decisions, ranges and ceilings]. */
const supported: Readonly<Partial<Record<Family, Minutes>>> = {
  sup_bb: [10, 15, 20],
  bound_reclined: [10, 15, 20],
  child: [5, 10, 10],
  twist_bolster: [5, 7, 10],
}
export const ceilings = { usual, supported } as const

/** Families whose rules another takes over [cautions reference 2.1]. */
export const inherits: Readonly<Partial<Record<Family, Family> & Record<`br_${string}`, string>>> = {
  br_straw: 'br_natural',
  br_directions: 'br_three_part',
  br_steps: 'br_hold_in',
  br_single_nostril: 'br_alt_nostril',
  legs_up_flat: 'sup_rest',
  half_fold: 'standing',
  pelvis_raised: 'sup_rest',
  prone_bb: 'prone',
  recl_kneel: 'sup_bb',
  fold_one_leg: 'fold_seated',
  fold_wide: 'fold_seated',
  bound_reclined: 'sup_rest',
  hip_supine: 'sup_rest',
  leg_raised: 'hip_supine',
  final_rest: 'sup_rest',
}

/** Families of the register that no shipped pose carries, and why. */
export const familiesWithoutPose: Readonly<Partial<Record<Family, string>>> = {
  inversion:
    'Shoulder stand, plough and headstand load the neck and are no part of restorative or yin work in a group; a teacher who teaches them can add them.',
}
