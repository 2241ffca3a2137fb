import { DateTime } from 'luxon'
import type { LongDay } from '#model/long-day'
import { bellowsHouse } from './bellows-house.ts'
import { reedAndBellows } from './reed-and-bellows.ts'
import { sundayLongRest, thursdaySlowHour } from './sessions.ts'

/** Three hours with tea, on the Saturday of the week after next. */
export const threeHours = (now: Date): LongDay => ({
  ...{ schema: 1, id: 'three-hours', name: 'Three hours with tea' },
  day: DateTime.fromJSDate(now).plus({ weeks: 2 }).set({ weekday: 6 }).toFormat('yyyy-MM-dd'),
  ...{ startsAt: '10:00', placeId: bellowsHouse.id, people: [], guests: 12 },
  parts: [
    { kind: 'session', id: 'breath', sessionId: reedAndBellows.id },
    { kind: 'session', id: 'slow', sessionId: thursdaySlowHour.id },
    { kind: 'break', id: 'tea', name: 'Tea in the workshop below', s: 1500, eaten: 'snack' },
    { kind: 'session', id: 'rest', sessionId: sundayLongRest.id },
  ],
})
