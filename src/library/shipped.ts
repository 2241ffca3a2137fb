import { changeSeconds } from './changes.ts'
import { movements } from './movements.ts'
import { poses } from './poses.ts'
import { schools } from './schools.ts'
import { techniques } from './techniques.ts'

const byId = <T extends { id: string }>(things: readonly T[]): ReadonlyMap<string, T> =>
  new Map(things.map((thing) => [thing.id, thing]))

/** The shipped knowledge as one argument for the computation; own and learned things are added to it. */
export const shippedCatalog = {
  poses: byId(poses),
  ownPoses: new Map<string, never>(),
  techniques: byId(techniques),
  movements: byId(movements),
  schools: byId(schools),
  changes: changeSeconds,
  learned: new Map<string, never>(),
} as const
