import type { OwnThing } from '#model/own'
import type { Pose, Variant } from '#model/pose'
import type { SetUp } from '#model/set-up'
import type { Catalog } from './catalog.ts'
import { fullOf, propCounts, setUpsFor } from './set-up-of.ts'

/**
 * A catalog with what the teacher added: own poses stand before shipped ones, own variants join their pose, own set-ups
 * come after the shipped ones of their pose. What an own pose or form takes is counted in its full set-up.
 */
export function withOwn(catalog: Catalog, things: readonly OwnThing[]): Catalog {
  if (things.length === 0) return catalog
  const poses = new Map(catalog.poses)
  const ownPoses = new Map(catalog.ownPoses)
  const schools = new Map(catalog.schools)
  const ownSetUps = ownSetUpsIn(things)
  for (const thing of things) {
    if (thing.kind === 'pose') ownPoses.set(thing.document.id, { ...thing.document, props: [] })
    if (thing.kind === 'school') schools.set(thing.document.id, thing.document)
  }
  for (const thing of things) {
    if (thing.kind !== 'variant') continue
    const { poseId, ...variant } = thing.document
    if (ownPoses.has(poseId)) join(ownPoses, poseId, variant)
    else join(poses, poseId, variant)
  }
  const setUps = new Map(catalog.setUps)
  for (const [poseId, own] of ownSetUps) setUps.set(poseId, [...(setUps.get(poseId) ?? []), ...own])
  const joined = { ...catalog, poses, ownPoses, schools, setUps }
  for (const [id, pose] of ownPoses) ownPoses.set(id, counted(pose, joined))
  for (const id of ownSetUps.keys()) {
    const pose = poses.get(id)
    if (pose) poses.set(id, counted(pose, joined))
  }
  return joined
}

/** Own set-ups by their pose. One that was deleted is the set-up of nothing, unless its pose or form went with it. */
function ownSetUpsIn(things: readonly OwnThing[]): ReadonlyMap<string, readonly SetUp[]> {
  const gone = new Set(things.flatMap(({ kind, document, hidden }) => (hidden ? [`${kind} ${document.id}`] : [])))
  const wentAlong = ({ poseId, variantId = '' }: SetUp) =>
    gone.has(`pose ${poseId}`) || gone.has(`variant ${variantId}`)
  const byPose = new Map<string, readonly SetUp[]>()
  for (const { kind, document, hidden } of things)
    if (kind === 'setUp' && (!hidden || wentAlong(document)))
      byPose.set(document.poseId, [...(byPose.get(document.poseId) ?? []), document])
  return byPose
}

/** What a pose and each of its forms take, by their full set-ups; a form of a copy without one, what the original’s does. */
function counted<P extends Pose>(pose: P & { readonly copiedFrom?: string | undefined }, catalog: Catalog): P {
  const original = pose.copiedFrom === undefined ? undefined : poseIn(catalog, pose.copiedFrom)
  const props = propCounts(fullOf(setUpsFor(catalog, pose.id))?.items ?? [])
  const variants = pose.variants.map((form) => {
    const full = fullOf(setUpsFor(catalog, pose.id, form.id))
    const taken =
      full?.variantId === form.id
        ? propCounts(full.items)
        : (form.props ?? original?.variants.find(({ id }) => id === form.id)?.props)
    return taken ? { ...form, props: taken } : form
  })
  return { ...pose, props, variants }
}

function join<P extends Pose>(poses: Map<string, P>, poseId: string, variant: Variant): void {
  const pose = poses.get(poseId)
  if (pose) poses.set(poseId, { ...pose, variants: [...pose.variants, variant] })
}

/** A pose of the catalog, the teacher's own before a shipped one of the same id. */
export const poseIn = ({ ownPoses, poses }: Pick<Catalog, 'ownPoses' | 'poses'>, id: string): Pose | undefined =>
  ownPoses.get(id) ?? poses.get(id)
