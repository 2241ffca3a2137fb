import type { Pose } from '#model/pose'
import { kneelingAndPronePoses } from './poses/kneeling-and-prone.ts'
import { seatedAndChairPoses } from './poses/seated-and-chair.ts'
import { supineAndSidePoses } from './poses/supine-and-side.ts'

/** The shipped poses, in the order of the shelf: from sitting through lying to the wall. */
export const poses: readonly Pose[] = [...seatedAndChairPoses, ...kneelingAndPronePoses, ...supineAndSidePoses]
