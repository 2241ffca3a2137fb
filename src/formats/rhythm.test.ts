import fc from 'fast-check'
import { weekdays } from '#model/series'
import { daysOfRhythm } from './rhythm.ts'

test('a rhythm of one day a week has it in every week, from the first on, over the turn of a year and a clock change', () => {
  expect(daysOfRhythm({ weekdays: ['TH'], firstDay: '2026-12-17', weeks: 4 })).toEqual([
    ...['2026-12-17', '2026-12-24', '2026-12-31', '2027-01-07'],
  ])
  // The clocks change on 29 March 2026, a Sunday.
  expect(daysOfRhythm({ weekdays: ['SU'], firstDay: '2026-03-15', weeks: 3 })).toEqual([
    ...['2026-03-15', '2026-03-22', '2026-03-29'],
  ])
})

test('it begins on the first of its days that is not before the first day; weeks are counted by what they have', () => {
  expect(daysOfRhythm({ weekdays: ['MO', 'TH'], firstDay: '2026-03-04', weeks: 2 })).toEqual([
    ...['2026-03-05', '2026-03-09', '2026-03-12'],
  ])
  expect(daysOfRhythm({ weekdays: ['MO'], firstDay: '2026-03-04', weeks: 2 })).toEqual(['2026-03-09', '2026-03-16'])
  expect(daysOfRhythm({ weekdays: ['TU'], everyWeeks: 2, firstDay: '2026-03-03', weeks: 3 })).toEqual([
    ...['2026-03-03', '2026-03-17', '2026-03-31'],
  ])
})

const names = ['SU', 'MO', 'TU', 'WE', 'TH', 'FR', 'SA'] as const

test('property: days go on in order, each on a weekday of the rhythm, as many weeks as were asked for', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...weekdays), { minLength: 1 }),
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: 1, max: 60 }),
      fc.integer({ min: 0, max: 1500 }),
      (chosen, everyWeeks, weeks, after) => {
        const firstDay = new Date(Date.UTC(2025, 0, 1 + after)).toISOString().slice(0, 10)
        const days = daysOfRhythm({ weekdays: chosen, everyWeeks, firstDay, weeks })
        expect(days).toEqual([...new Set(days)].sort())
        expect((days[0] ?? '') >= firstDay).toBe(true)
        const mondays = days.map((day) => Math.floor((Date.parse(day) / 86_400_000 + 3) / 7))
        expect(new Set(mondays).size).toBe(weeks)
        for (const day of days) expect(chosen).toContain(names[new Date(day).getUTCDay()])
      },
    ),
    { numRuns: 60 },
  )
})
