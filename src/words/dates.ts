import { DateTime } from 'luxon'

const english = { locale: 'en' } as const

/** A day, as in “Thu 12 Mar 2026”. */
export const dayText = (instant: string): string => DateTime.fromISO(instant).toFormat('ccc d LLL yyyy', english)

/** A class that is planned for a day, as it is told where it stands in the way. */
export const classOn = (day: string): string => `the class of ${dayText(day)}`

/** A day and its time, 24-hour clock. */
export const dayTimeText = (instant: string): string =>
  DateTime.fromISO(instant).toFormat('ccc d LLL yyyy, HH:mm', english)

/** Hours and minutes of a wall time, 24-hour clock. */
export const clockText = (epochMs: number): string => DateTime.fromMillis(epochMs).toFormat('HH:mm', english)

/** A day as it stands in a name. */
export const dayOfMonth = (instant: string): string => DateTime.fromISO(instant).toFormat('d LLL', english)
