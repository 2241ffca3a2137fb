import type { Level } from '#model/common'
import type { Person } from '#model/person'
import type { PlannedClass } from '#model/planned-class'
import type { Timeline } from '#core/timeline'
import { guestsOf } from '../people.ts'

/** Somebody who comes to a class: by name, or as one of those without. */
export interface Comer {
  readonly id: string
  readonly person: Person
  readonly isNamed: boolean
  /** It is one of their first two classes, as far as is recorded. */
  readonly inFirstClasses: boolean
  /** The poses they practised in recorded classes; for those without a name nobody knows. */
  readonly practised: ReadonlySet<string> | undefined
  /** What ends practice for them on this day. */
  readonly notToday: readonly string[]
}

/** Whether somebody is not of age, as far as it was told. */
export const isMinor = ({ person }: Pick<Comer, 'person'>): boolean =>
  person.conditions.some(({ id }) => id === 'minor')

/** What is known of classes that were led: who came and what was practised. */
export type PastClass = Pick<PlannedClass, 'id' | 'people' | 'ledClassId' | 'posesLed'>

/** The poses of a session that are practised, each once. */
export const posesIn = ({ blocks }: Pick<Timeline, 'blocks'>): string[] => [
  ...new Set(blocks.flatMap(({ block }) => (block.kind === 'hold' ? [block.pose.id] : []))),
]

type Comes = Pick<PlannedClass, 'id' | 'people' | 'guests' | 'needs'>

/** Classes in which `modify` means half at first [decisions, People and classes]. */
const firstClasses = 2

/**
 * Everybody who comes: those with a name who are not away, in the order in which they were planned, then those without,
 * the first of them with what was told of some. Whoever has no level of their own is new; of the nameless nobody knows
 * it, so they have the session's.
 */
export function comersOf(
  planned: Comes,
  people: readonly Person[],
  past: readonly PastClass[],
  level: Level,
): readonly Comer[] {
  const byId = new Map(people.map((person) => [person.id, person]))
  const led = past.filter(({ id, ledClassId }) => ledClassId !== undefined && id !== planned.id)
  const named = planned.people.flatMap(({ personId, away, notToday = [] }): Comer[] => {
    const person = byId.get(personId)
    if (!person || away) return []
    const came = led.filter((one) => one.people.some((other) => other.personId === personId && !other.away))
    return [
      {
        ...{ id: personId, person, isNamed: true, notToday },
        inFirstClasses: came.length < firstClasses,
        practised: new Set(came.flatMap(({ posesLed = [] }) => posesLed)),
      },
    ]
  })
  return [...named, ...nameless(planned, level)]
}

function nameless({ guests, needs = [] }: Comes, level: Level): readonly Comer[] {
  const told = needs.flatMap(({ condition, people }) => Array.from({ length: people }, () => condition))
  return guestsOf(Math.max(guests, told.length)).map((id, at): Comer => {
    const condition = told[at]
    // Who is nameless was asked today, of this alone.
    const conditions = condition ? [{ ...condition, askedOn: '' }] : []
    return {
      ...{ id, isNamed: false, inFirstClasses: false, practised: undefined, notToday: [] },
      person: { id, name: '', level, conditions, consents: [] },
    }
  })
}
