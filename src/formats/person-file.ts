import type { LongDay } from '#model/long-day'
import type { Person } from '#model/person'
import type { PlannedClass } from '#model/planned-class'
import type { Series } from '#model/series'

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
  /** The series and long days they come to, by name. */
  readonly series: readonly { readonly name: string; readonly firstDay: string; readonly weeks: number }[]
  readonly longDays: readonly { readonly name: string; readonly day?: string }[]
}

/** All in which somebody may be named. */
export interface NamedIn {
  readonly classes: readonly PlannedClass[]
  readonly series: readonly Series[]
  readonly longDays: readonly LongDay[]
}

/** Its name says nothing of whom it is about. */
export const personFileName = 'zovrin-person.json'

export function personFile(
  person: Person,
  { classes, series, longDays }: NamedIn,
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
  const comes = ({ people }: { readonly people: readonly string[] }): boolean => people.includes(person.id)
  return {
    ...{ format: 'zovrin-person', version: 1, madeAt, person, classes: theirs },
    series: series.filter(comes).map(({ name, firstDay, weeks }) => ({ name, firstDay, weeks })),
    longDays: longDays.filter(comes).map(({ name, day }) => ({ name, ...(day === undefined ? {} : { day }) })),
  }
}
