import type { OwnPose } from '#model/pose'
import { splitCounts } from '#core/session'
import { poses } from '#library/poses'

/** An own pose as it is kept, made of a shipped one under an id of its own. */
export function ownPoseFrom(poseId: string, change: Partial<OwnPose> & { readonly id: string }): OwnPose {
  const shipped = poses.find(({ id }) => id === poseId)
  if (!shipped) throw new Error(`no ${poseId}`)
  return splitCounts({ ...shipped, ...change }, () => true).pose
}
