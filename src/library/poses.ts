import type { Pose } from '#model/pose'
import type { PropKind } from '#model/prop'
import type { ShelfPose } from './poses/parts.ts'
import { allFoursPoses } from './poses/all-fours.ts'
import { chairPoses } from './poses/chair.ts'
import { kneelingPoses } from './poses/kneeling.ts'
import { neckAndArmPoses } from './poses/neck-and-arms.ts'
import { onTheKneesPoses } from './poses/on-the-knees.ts'
import { pronePoses } from './poses/prone.ts'
import { seatedFoldsPoses } from './poses/seated-folds.ts'
import { seatedHipsPoses } from './poses/seated-hips.ts'
import { seatedTrunkPoses } from './poses/seated-trunk.ts'
import { seatPoses } from './poses/seats.ts'
import { sidePoses } from './poses/side.ts'
import { standingPoses } from './poses/standing.ts'
import { supineOpenersPoses } from './poses/supine-openers.ts'
import { supineRestsPoses } from './poses/supine-rests.ts'
import { supineShapesPoses } from './poses/supine-shapes.ts'
import { wallPoses } from './poses/wall.ts'
import { setUps } from './set-ups.ts'

const told: readonly ShelfPose[] = [
  ...standingPoses,
  ...kneelingPoses,
  ...onTheKneesPoses,
  ...allFoursPoses,
  ...pronePoses,
  ...supineRestsPoses,
  ...supineShapesPoses,
  ...supineOpenersPoses,
  ...sidePoses,
  ...seatedFoldsPoses,
  ...seatedHipsPoses,
  ...seatedTrunkPoses,
  ...seatPoses,
  ...neckAndArmPoses,
  ...chairPoses,
  ...wallPoses,
]

/** What the full set-up of a pose or of a form of it takes, by kind in the order it is laid. */
function taken(poseId: string, variantId?: string): Pose['props'] {
  const full = setUps.find((one) => one.extent === 'full' && one.poseId === poseId && one.variantId === variantId)
  const counts = new Map<PropKind, number>()
  for (const { kind, count } of full?.items ?? []) counts.set(kind, (counts.get(kind) ?? 0) + count)
  return [...counts].map(([kind, count]) => ({ kind, count }))
}

/** A form that is another position takes what its own set-up does. */
const counted = (pose: ShelfPose): Pose => ({
  ...pose,
  props: taken(pose.id),
  variants: pose.variants.map((form) => (form.base ? { ...form, props: taken(pose.id, form.id) } : form)),
})

/** The shipped poses, in the order of the shelf: from standing through the floor to the chair and the wall. */
export const poses: readonly Pose[] = told.map(counted)
