import type { Level, Practice } from '#model/common'
import type { HoldRange, Pose } from '#model/pose'

/** Sensation up to which a hold counts as fully supported, restorative work [handbook: 0 to 2 of 10]. */
const restorativeSensation = 2

/** Whose usual times a pose follows; in mixed and breath sessions its sensation decides. */
export function holdPractice(practice: Practice, pose: Pose): 'restorative' | 'yin' {
  if (practice === 'restorative' || practice === 'yin') return practice
  return pose.sensation.to <= restorativeSensation ? 'restorative' : 'yin'
}

/** The usual range of a pose's hold for a practice and level, in seconds. */
export const usualHold = (pose: Pose, practice: Practice, level: Level): HoldRange =>
  pose.holds[holdPractice(practice, pose)][level]
