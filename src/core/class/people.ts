import type { Person } from '#model/person'
import type { Place, Room } from '#model/place'
import type { PlannedClass, SubstituteTaken } from '#model/planned-class'
import type { SetUpItem } from '#model/set-up'
import type { Who } from '#core/figure'
import { minutesOfDay } from '#core/units'
import type { Milliseconds } from '#core/units'
import { isSame } from '#core/session'
import type { Laid } from './laid.ts'

/** People of a class who have the same set-ups, with what lies at their mats. */
export interface LaidFor {
  readonly who: readonly string[]
  readonly laid: readonly Laid[]
}

/** Everybody who comes to a planned class: those with a name who are not away, then the others by number. */
export const comingTo = ({ people, guests }: Pick<PlannedClass, 'people' | 'guests'>): readonly string[] => [
  ...people.flatMap(({ personId, away }) => (away ? [] : [personId])),
  ...guestsOf(guests),
]

/** People without a name, as they are told apart. */
export const guestsOf = (count: number): readonly string[] =>
  Array.from({ length: count }, (_, at) => `guest-${String(at + 1)}`)

/** Those that still stand: their block is there, set up as it was when they were taken; the others lapse. */
export const stillTaken = <T extends Pick<SubstituteTaken, 'blockId' | 'from'>>(
  taken: readonly T[],
  laid: readonly Laid[],
): readonly T[] =>
  taken.filter(({ blockId, from }) => {
    const now = laid.find((one) => one.blockId === blockId)?.items
    return now !== undefined && isSame(now, from)
  })

interface Taken {
  readonly blockId: string
  /** Absent: everybody. */
  readonly who?: readonly string[] | undefined
  readonly items: readonly SetUpItem[]
}

/**
 * What lies at the mats of some people, those together who have the same; in a block where somebody has something else
 * than its set-up they have that all along, steps in mid-hold included.
 */
export function laidByPeople(
  laid: readonly Laid[],
  who: readonly string[],
  taken: readonly Taken[],
): readonly LaidFor[] {
  const groups = new Map<string, { who: string[]; laid: readonly Laid[] }>()
  for (const one of who) {
    const theirs = taken.filter((entry) => entry.who === undefined || entry.who.includes(one))
    const key = theirs.map((entry) => taken.indexOf(entry)).join()
    const group = groups.get(key) ?? { who: [], laid: theirs.length > 0 ? laid.map(instead(theirs)) : laid }
    group.who.push(one)
    groups.set(key, group)
  }
  return [...groups.values()]
}

const instead =
  (taken: readonly Taken[]) =>
  (one: Laid): Laid => {
    const items = taken.findLast(({ blockId }) => blockId === one.blockId)?.items
    return items ? { ...one, items } : one
  }

/** The room a class is held in: the one it names, else the largest of its place. */
export const roomOf = ({ rooms }: Pick<Place, 'rooms'>, roomId: string | undefined): Room | undefined =>
  rooms.find(({ id }) => id === roomId) ??
  rooms.reduce<Room | undefined>((a, b) => (a && a.lengthMm * a.widthMm >= b.lengthMm * b.widthMm ? a : b), undefined)

/** Between two classes of one house, so that one can be put away before the other lays out, min. */
const betweenClassesMin = 15

interface When {
  readonly startsAt?: string | undefined
  readonly totalMs: Milliseconds
}

/** Whether two classes of one day leave less than a quarter of an hour between them; without a time nobody knows. */
export function touching(a: When, b: When): boolean {
  const [fromA, fromB] = [minutesOf(a.startsAt), minutesOf(b.startsAt)]
  if (fromA === undefined || fromB === undefined) return false
  const [first, second] = fromA <= fromB ? [a, fromB - fromA] : [b, fromA - fromB]
  return second < first.totalMs / 60_000 + betweenClassesMin
}

const minutesOf = (time: string | undefined): number | undefined =>
  time === undefined ? undefined : minutesOfDay(time)

/** Somebody's body, as far as it is noted: how tall they are and what was measured, cm. */
export function bodyOfPerson({ statureMm, measures = {} }: Pick<Person, 'statureMm' | 'measures'>): Who | undefined {
  if (statureMm === undefined) return undefined
  const { kneeH0, ...lengths } = measures
  const measured = Object.fromEntries(Object.entries(lengths).map(([name, mm]) => [name, mm / 10]))
  return {
    statureCm: statureMm / 10,
    ...(Object.keys(measured).length > 0 ? { measured } : {}),
    ...(kneeH0 === undefined ? {} : { kneeH0Cm: kneeH0 / 10 }),
  }
}

/** Whether somebody told that they are past the 27th week [caution reference, preg_t3]. */
export const isLateInPregnancy = ({ conditions }: Pick<Person, 'conditions'>): boolean =>
  conditions.some(({ id }) => id === 'preg_t3')

/** The only one who comes to a class, by name; undefined where somebody else comes too, or nobody. */
export function theOne(
  { people, guests, needs = [] }: Pick<PlannedClass, 'people' | 'guests' | 'needs'>,
  all: readonly Person[],
): Person | undefined {
  const coming = people.filter(({ away }) => !away)
  if (coming.length !== 1 || guests > 0 || needs.length > 0) return undefined
  return all.find(({ id }) => id === coming[0]?.personId)
}
