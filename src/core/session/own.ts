import type { OwnThing } from '#model/own'
import type { Pose, Variant } from '#model/pose'
import type { Catalog } from './catalog.ts'

/** A catalog with what the teacher added: own poses stand before shipped ones, own variants join their pose. */
export function withOwn(catalog: Catalog, things: readonly OwnThing[]): Catalog {
  if (things.length === 0) return catalog
  const poses = new Map(catalog.poses)
  const ownPoses = new Map(catalog.ownPoses)
  const schools = new Map(catalog.schools)
  for (const thing of things) {
    if (thing.kind === 'pose') ownPoses.set(thing.document.id, thing.document)
    if (thing.kind === 'school') schools.set(thing.document.id, thing.document)
  }
  for (const thing of things) {
    if (thing.kind !== 'variant') continue
    const { poseId, ...variant } = thing.document
    if (ownPoses.has(poseId)) join(ownPoses, poseId, variant)
    else join(poses, poseId, variant)
  }
  return { ...catalog, poses, ownPoses, schools }
}

function join<P extends Pose>(poses: Map<string, P>, poseId: string, variant: Variant): void {
  const pose = poses.get(poseId)
  if (pose) poses.set(poseId, { ...pose, variants: [...pose.variants, variant] })
}

/** A pose of the catalog, the teacher's own before a shipped one of the same id. */
export const poseIn = ({ ownPoses, poses }: Pick<Catalog, 'ownPoses' | 'poses'>, id: string): Pose | undefined =>
  ownPoses.get(id) ?? poses.get(id)
