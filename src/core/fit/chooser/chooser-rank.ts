import type { Level, Practice } from '#model/common'
import type { Movement } from '#model/movement'
import type { Pose, Target } from '#model/pose'
import type { Technique } from '#model/technique'
import type { Seconds } from '#core/units'

/** For whom and what poses are ranked. */
export interface RankedFor {
  readonly practice: Practice
  readonly level: Level
  readonly lengthS: Seconds
  readonly variation: number
}

const levelOrder = { new: 0, regular: 1, experienced: 2 } as const

/** Whether a pose is taught in that work and to that level; the final rest has a block of its own. */
export function suits(pose: Pose, { practice, level }: RankedFor): boolean {
  const kind = practice === 'breath' ? 'restorative' : practice
  return (
    (kind === 'mixed' || pose.practices.includes(kind)) &&
    levelOrder[pose.fromLevel] <= levelOrder[level] &&
    !pose.families.includes('final_rest')
  )
}

/** Under this length two sides of one pose take too much of it. */
const shortClassS = 1500

/** Positions that part a class on the floor: everybody has to get up. */
const offTheFloor: ReadonlySet<string> = new Set(['onChair', 'standing'])

/**
 * How well a pose works on an area, in points: 2 where that is its first, 2 where it is a deep pose, 1 where
 * the practice is the one it is usually taught in; less for two sides in a short class and for leaving the floor.
 */
export function worksOn(pose: Pose, target: Target, asked: RankedFor): number {
  return (
    (pose.targets[0] === target ? 2 : 0) +
    (pose.places.includes('deep') ? 2 : 0) +
    (pose.practices[0] === asked.practice ? 1 : 0) -
    (pose.sides && asked.lengthS < shortClassS ? 3 : 0) -
    awayFromTheFloor(pose)
  )
}

export const awayFromTheFloor = (pose: Pose): number => (offTheFloor.has(pose.base.enter) ? 3 : 0)

/** Points a variation may add, so that things nearly as good take turns. */
const turns = 3

/** Best first; the variation's number decides between those that are nearly as good. The same every time. */
export function ranked<T extends Pose | Movement | Technique>(
  things: Iterable<T>,
  variation: number,
  points: (thing: T) => number,
): T[] {
  return [...things]
    .map((thing) => {
      const mixed = mix(`${String(variation)} ${thing.id}`)
      return { thing, points: points(thing) + (mixed % turns), mixed }
    })
    .sort((a, b) => b.points - a.points || a.mixed - b.mixed || (a.thing.id < b.thing.id ? -1 : 1))
    .map(({ thing }) => thing)
}

/** A number from a text, spread evenly [FNV-1a, 32 bit]. */
function mix(text: string): number {
  let hash = 0x811c9dc5
  for (let at = 0; at < text.length; at += 1) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193) >>> 0
  return (hash ^ (hash >>> 15)) >>> 0
}
