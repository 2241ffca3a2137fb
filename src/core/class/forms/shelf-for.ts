import type { Pose } from '#model/pose'
import { inPlaceOf } from '#core/cautions'
import type { Catalog } from '#core/session'

/** A pose of the shelf, the teacher's own first. */
export const poseIn = ({ ownPoses, poses }: Catalog, id: string): Pose | undefined => ownPoses.get(id) ?? poses.get(id)

const alikeKnown = new WeakMap<Catalog['poses'], Map<string, readonly Pose[]>>()

/** The other poses of a pose's intent. */
export function alikeOf(pose: Pose, { poses }: Catalog): readonly Pose[] {
  const known = alikeKnown.get(poses) ?? new Map<string, readonly Pose[]>()
  alikeKnown.set(poses, known)
  const alike = known.get(pose.id) ?? inPlaceOf(pose, poses.values()).alike
  known.set(pose.id, alike)
  return alike
}

/** Families one rests in: on a side, on the back or inclined, sitting. */
const restFamilies: ReadonlySet<string> = new Set(['side_rest', 'sup_rest', 'seat'])
const restSensation = 1
const restsKnown = new WeakMap<Catalog['poses'], readonly Pose[]>()

/** The poses one can rest in, whatever the others do. */
export function restsOf({ poses }: Catalog): readonly Pose[] {
  const known =
    restsKnown.get(poses) ??
    [...poses.values()].filter(
      ({ families, sensation }) =>
        families.every((family) => restFamilies.has(family)) && sensation.to <= restSensation,
    )
  restsKnown.set(poses, known)
  return known
}
