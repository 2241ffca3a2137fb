import { DateTime } from 'luxon'
import type { PlannedClass } from '#model/planned-class'
import type { Series } from '#model/series'
import { bellowsHouse, bellowsPeople } from './bellows-house.ts'
import { lastThursdayBefore } from './led-classes.ts'
import { reedAndBellows } from './reed-and-bellows.ts'
import { sundayLongRest, thursdaySlowHour } from './sessions.ts'

const people = (now: Date, ...places: readonly number[]): string[] =>
  places.flatMap((place) => bellowsPeople(now)[place]?.id ?? [])

const dayOf = (at: DateTime): string => at.toISODate() ?? ''

/** The three running series of the house, each begun so that its classes were led in its first weeks. */
export function demoSeries(now: Date): readonly Series[] {
  const thursday = DateTime.fromJSDate(lastThursdayBefore(now), { zone: 'utc' })
  const shared = { schema: 1, placeId: bellowsHouse.id } as const
  return [
    {
      ...shared,
      ...{ id: 'thursday', name: thursdaySlowHour.name, baseId: thursdaySlowHour.id },
      ...{ weekdays: ['TH'], startsAt: '18:45', firstDay: dayOf(thursday.minus({ weeks: 3 })), weeks: 8 },
      ...{ people: people(now, 0, 1, 2, 4, 5, 6, 8, 9, 10), guests: 2 },
      growth: [
        { id: 'deer', blockId: 'deer', kind: 'longer', everyWeeks: 2 },
        { id: 'four', blockId: 'figure-four', kind: 'quieter', everyWeeks: 1, least: 1 },
      ],
      // What was begun is learned first: nothing grows before the sixth week.
      waits: [2, 3, 4, 5],
      classes: [1, 2, 3, 4].map((n) => ({ n, sessionId: thursdaySlowHour.id })),
    },
    {
      ...shared,
      ...{ id: 'sunday', name: sundayLongRest.name, baseId: sundayLongRest.id },
      ...{ weekdays: ['SU'], startsAt: '17:00', firstDay: dayOf(thursday.minus({ days: 4 })), weeks: 6 },
      ...{ people: people(now, 1, 3, 4, 7, 8, 11, 12, 13), guests: 0 },
      growth: [{ id: 'bound', blockId: 'bound', kind: 'longer', everyWeeks: 2, mostS: 570 }],
      classes: [{ n: 1, sessionId: sundayLongRest.id }],
    },
    {
      ...shared,
      ...{ id: 'reed-and-bellows', name: reedAndBellows.name, baseId: reedAndBellows.id },
      ...{ weekdays: ['TU'], startsAt: '19:15', weeks: 8 },
      firstDay: dayOf(thursday.minus({ days: 2, weeks: 5 })),
      ...{ people: people(now, 2, 3, 6, 7, 9, 12, 13), guests: 0 },
      growth: [
        {
          ...{ id: 'two-threads', blockId: 'even', kind: 'ladder', startStep: 6, perWeek: 3, evenWeeksBefore: 6 },
          lessons: { blockId: 'lesson', techniqueIds: ['three-part-breath'], from: 3 },
        },
      ],
      classes: [{ n: 6, sessionId: reedAndBellows.id }],
    },
  ]
}

/** A planned class as the one of its series on its day, and the series with it; without one as it is. */
export function joined(
  all: readonly Series[],
  planned: readonly PlannedClass[],
): { readonly series: readonly Series[]; readonly planned: readonly PlannedClass[] } {
  const nOf = ({ firstDay }: Series, { day }: PlannedClass): number =>
    DateTime.fromISO(day).diff(DateTime.fromISO(firstDay), 'weeks').weeks + 1
  const theirs = (one: PlannedClass) => all.find(({ baseId }) => baseId === one.sessionId)
  return {
    planned: planned.map((one) => {
      const series = theirs(one)
      return series ? { ...one, series: { id: series.id, n: Math.round(nOf(series, one)) } } : one
    }),
    series: all.map((series) => {
      const own = planned.filter((one) => theirs(one) === series)
      const classes = own.map((one) => ({ n: Math.round(nOf(series, one)), sessionId: one.sessionId }))
      return { ...series, classes: [...series.classes, ...classes] }
    }),
  }
}
