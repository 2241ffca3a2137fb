import { DateTime } from 'luxon'
import type { PlannedClass } from '#model/planned-class'
import type { Session } from '#model/session'
import { bellowsHouse, bellowsPeople } from './bellows-house.ts'
import { reedAndBellows } from './reed-and-bellows.ts'
import { sundayLongRest, thursdaySlowHour } from './sessions.ts'

/** The next such day after today; 1 is Monday. */
function next(weekday: number, now: Date): string {
  const today = DateTime.fromJSDate(now)
  return today.plus({ days: (weekday - today.weekday + 7) % 7 || 7 }).toISODate() ?? ''
}

function plannedFor(session: Session, when: Pick<PlannedClass, 'id' | 'day' | 'startsAt'>): PlannedClass {
  return {
    ...{ ...when, sessionId: session.id, placeId: bellowsHouse.id },
    ...{ people: [], guests: 0, forms: [], substitutes: [], setAside: [] },
  }
}

/** Some of the fourteen, by their place among them. */
const comes = (now: Date, ...places: readonly number[]): PlannedClass['people'] =>
  places.flatMap((place) => {
    const person = bellowsPeople(now)[place]
    return person ? [{ personId: person.id }] : []
  })

/**
 * A class of each of the house's three series: to Thursday's come more people than there are bolsters, two of them
 * without a name, and one of those with a shoulder.
 */
export const plannedClasses = (now: Date): readonly PlannedClass[] => [
  {
    ...plannedFor(thursdaySlowHour, { id: 'next-thursday', day: next(4, now), startsAt: '18:45' }),
    people: comes(now, 0, 1, 2, 4, 5, 6, 8, 9, 10),
    guests: 2,
    needs: [{ id: 'a-shoulder', condition: { id: 'shoulder', severe: 'no', side: 'right' }, people: 1 }],
  },
  {
    ...plannedFor(sundayLongRest, { id: 'next-sunday', day: next(7, now), startsAt: '17:00' }),
    people: comes(now, 1, 3, 4, 7, 8, 11, 12, 13),
  },
  {
    ...plannedFor(reedAndBellows, { id: 'next-tuesday', day: next(2, now), startsAt: '19:15' }),
    people: comes(now, 2, 3, 6, 7, 9, 12, 13),
  },
]
