import { DateTime } from 'luxon'
import type { PlannedClass } from '#model/planned-class'
import { bellowsHouse } from './bellows-house.ts'
import { thursdaySlowHour } from './sessions.ts'

/** Thursday's slow hour, planned for the next Thursday: more people than the house has bolsters. */
export function plannedThursday(now: Date): PlannedClass {
  const today = DateTime.fromJSDate(now)
  const day = today.plus({ days: (4 - today.weekday + 7) % 7 || 7 }).toISODate() ?? ''
  return {
    ...{ id: 'next-thursday', sessionId: thursdaySlowHour.id, placeId: bellowsHouse.id, day, startsAt: '18:45' },
    ...{ people: [], guests: 11, forms: [], substitutes: [], setAside: [] },
  }
}
