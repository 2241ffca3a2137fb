import { classWhen, dayOf } from './class-days.ts'

test('a planned class is told by its day, and its time where it has one', () => {
  expect(classWhen({ day: '2026-12-03', startsAt: '18:45' })).toBe('Thu 3 Dec, 18:45')
  expect(classWhen({ day: '2026-09-06' })).toBe('Sun 6 Sep')
})

test('a day is written as the model keeps it, from midnight to midnight here', () => {
  expect(dayOf(new Date(2026, 2, 5, 0, 0).getTime())).toBe('2026-03-05')
  expect(dayOf(new Date(2026, 2, 5, 23, 59).getTime())).toBe('2026-03-05')
})
