import type { Person } from '#model/person'
import type { PlannedClass } from '#model/planned-class'

/** A class somebody is planned for, as it stands in the file of their own data. */
interface ClassOfPerson {
  readonly day: string
  readonly startsAt?: string
  readonly session: string
  readonly isAway: boolean
  readonly forms: readonly Omit<PlannedClass['forms'][number], 'personId'>[]
}

/** The whole of what is kept of one person, as a file they can be given: open JSON, nobody else in it. */
export interface PersonFile {
  readonly format: 'zovrin-person'
  readonly version: 1
  readonly madeAt: string
  readonly person: Person
  readonly classes: readonly ClassOfPerson[]
}

/** Its name says nothing of whom it is about. */
export const personFileName = 'zovrin-person.json'

export function personFile(
  person: Person,
  classes: readonly PlannedClass[],
  nameOfSession: (id: string) => string,
  madeAt: string,
): PersonFile {
  const theirs = classes.flatMap(({ people, forms, day, startsAt, sessionId }): ClassOfPerson[] => {
    const there = people.find(({ personId }) => personId === person.id)
    if (!there) return []
    const own = forms.flatMap(({ personId, ...form }) => (personId === person.id ? [form] : []))
    return [
      {
        ...{ day, session: nameOfSession(sessionId), isAway: there.away ?? false, forms: own },
        ...(startsAt === undefined ? {} : { startsAt }),
      },
    ]
  })
  return { format: 'zovrin-person', version: 1, madeAt, person, classes: theirs }
}
