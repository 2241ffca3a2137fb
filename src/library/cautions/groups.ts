/** Named sets of conditions and of strong techniques, as the rules use them. */
export const cautionGroups: Readonly<Record<string, readonly string[]>> = {
  '@preg': ['preg_t1', 'preg_t2', 'preg_t3', 'preg_highrisk'],
  '@preg_late': ['preg_t2', 'preg_t3', 'preg_highrisk'],
  '@eye': ['eye_pressure', 'eye_retina'],
  '@pressure': ['htn_unctrl', 'heart', 'stroke_aneurysm', 'head_injury', 'eye_pressure', 'eye_retina'],
  '@flat': ['heart', 'asthma_copd', 'resp_acute', 'reflux', 'ate_recently'],
  '@strong': [
    'br_hold_in',
    'br_hold_out',
    'br_lock_chin',
    'br_lock_abdo',
    'br_lock_root',
    'br_abdo_pump',
    'br_skullshine',
    'br_bellows',
  ],
}
