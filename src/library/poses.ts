import type { Pose } from '#model/pose'
import { allFoursPoses } from './poses/all-fours.ts'
import { chairPoses } from './poses/chair.ts'
import { kneelingPoses } from './poses/kneeling.ts'
import { neckAndArmPoses } from './poses/neck-and-arms.ts'
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

/** The shipped poses, in the order of the shelf: from standing through the floor to the chair and the wall. */
export const poses: readonly Pose[] = [
  ...standingPoses,
  ...kneelingPoses,
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
