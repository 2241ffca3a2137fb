import { hourOfDay, minutesOfDay } from '#core/units'

/** An hour of the day so many minutes later, 24-hour clock: 19:00 and 75 are 20:15. Days go round, without summer time. */
export const clockAfter = (hour: string, minutes: number): string => hourOfDay(minutesOfDay(hour) + minutes)
