import type { CautionProp } from '#model/caution'
import type { Family } from '#model/family'

/** Families in words a teacher can say. */
export const familyNames: Readonly<Record<Family, string>> = {
  sup_rest: 'supported rest on the back',
  legs_up_flat: 'legs up, pelvis on the floor',
  pelvis_raised: 'pelvis raised',
  head_low: 'head below the heart',
  half_fold: 'half fold, trunk level',
  prone: 'on the belly',
  prone_bb: 'backbend on the belly',
  sup_bb: 'backbend over a support',
  recl_kneel: 'reclined kneel',
  fold_seated: 'seated forward fold',
  fold_one_leg: 'one-leg fold',
  fold_wide: 'wide-legged fold',
  wide_lying: 'thighs spread, lying',
  bound_seated: 'bound angle, seated',
  bound_reclined: 'bound angle, reclined',
  child: 'kneeling fold',
  puppy: 'long-arm kneel',
  lunge: 'deep lunge',
  pigeon: 'folded shin',
  hip_supine: 'hip work on the back',
  leg_raised: 'straight leg raised, on the back',
  twist_supine: 'twist on the back',
  twist_bolster: 'twist over a bolster',
  twist_seated: 'seated twist',
  shoulder_cross: 'crossed arms',
  clasp_back: 'hands clasped behind',
  inversion: 'strong inversion',
  feet_squat: 'squat, or stretched feet',
  side_bend: 'side bend',
  seat: 'upright seat',
  side_sit: 'side-sitting',
  all_fours: 'on all fours',
  standing: 'standing',
  heel_sit: 'heel sit',
  side_rest: 'rest on the side',
  final_rest: 'final rest',
}

export const cautionPropNames: Readonly<Record<CautionProp, string>> = {
  prop_eye: 'a weight on the eyes',
  prop_weight: 'a weight on the body',
  prop_strap: 'a strap',
  prop_heat_scent: 'heat or scent',
}
