import ICAL from 'ical.js'
import type { Series } from '#model/series'

export type Rhythm = Pick<Series, 'weekdays' | 'everyWeeks' | 'firstDay' | 'weeks'>

/** A rhythm as RFC 5545 writes it, without an end: weeks begin on Monday. */
export const recurrenceOf = ({ weekdays, everyWeeks = 1 }: Rhythm): string =>
  `FREQ=WEEKLY;INTERVAL=${String(everyWeeks)};WKST=MO;BYDAY=${weekdays.join(',')}`

/**
 * The days of a rhythm in order, as "2026-03-05": every day it has from the first one on, through as many weeks as have
 * any. Days, not instants: a clock change moves none of them.
 */
export function daysOfRhythm(rhythm: Rhythm): readonly string[] {
  const start = ICAL.Time.fromDateString(rhythm.firstDay)
  const days: string[] = []
  const weeks = new Set<string>()
  const iterator = ICAL.Recur.fromString(recurrenceOf(rhythm)).iterator(start)
  for (;;) {
    const day = iterator.next()
    if (!day) return days
    if (day.compareDateOnlyTz(start, ICAL.Timezone.utcTimezone) < 0) continue
    weeks.add(day.startOfWeek(ICAL.Time.MONDAY).toString())
    if (weeks.size > rhythm.weeks) return days
    days.push(day.toString().slice(0, 10))
  }
}
