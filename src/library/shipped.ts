import { changeSeconds } from './changes.ts'
import { ceilings } from './cautions/register.ts'
import { movements } from './movements.ts'
import { poses } from './poses.ts'
import { propKinds } from './prop-kinds.ts'
import { schools } from './schools.ts'
import { setUps } from './set-ups.ts'
import { techniques } from './techniques.ts'

const byId = <T extends { id: string }>(things: readonly T[]): ReadonlyMap<string, T> =>
  new Map(things.map((thing) => [thing.id, thing]))

function byPose<T extends { poseId: string }>(things: readonly T[]): ReadonlyMap<string, readonly T[]> {
  const groups = new Map<string, T[]>()
  for (const thing of things) groups.set(thing.poseId, [...(groups.get(thing.poseId) ?? []), thing])
  return groups
}

/** The shipped knowledge as one argument for the computation; own and learned things are added to it. */
export const shippedCatalog = {
  poses: byId(poses),
  ownPoses: new Map<string, never>(),
  techniques: byId(techniques),
  movements: byId(movements),
  schools: byId(schools),
  setUps: byPose(setUps),
  propKinds,
  ceilings,
  changes: changeSeconds,
  learned: new Map<string, never>(),
} as const
