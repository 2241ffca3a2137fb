import { classesOnBusyDays } from './busy-classes.ts'

const at = (n: number, day: string, more: object = {}) => ({
  ...{ n, day, startsAt: '18:45', leftOut: undefined as string | undefined, isPast: false, ...more },
})
const busy = (day: string, fromMin: number, toMin: number, what = 'x') => ({ day, what, fromMin, toMin })

test('a class is met by what touches its time, and not by what ends as it begins or begins as it ends', () => {
  const met = (fromMin: number, toMin: number) =>
    classesOnBusyDays([at(1, '2026-03-19')], [busy('2026-03-19', fromMin, toMin)], 3600).length
  expect(met(18 * 60, 18 * 60 + 45)).toBe(0)
  expect(met(19 * 60 + 45, 20 * 60)).toBe(0)
  expect(met(19 * 60 + 44, 20 * 60)).toBe(1)
  expect(met(0, 1440)).toBe(1)
})

test('without an hour the whole day counts; what is over, or left out, is not asked of', () => {
  const morning = [busy('2026-03-19', 480, 540)]
  expect(classesOnBusyDays([at(1, '2026-03-19', { startsAt: undefined })], morning, 3600)).toHaveLength(1)
  expect(classesOnBusyDays([at(1, '2026-03-19', { isPast: true })], [busy('2026-03-19', 0, 1440)], 3600)).toEqual([])
  expect(classesOnBusyDays([at(1, '2026-03-19', { leftOut: '' })], [busy('2026-03-19', 0, 1440)], 3600)).toEqual([])
})

test('of several things the longest is named, and only what lasts all day is meant at once', () => {
  const all = [busy('2026-03-19', 1140, 1170, 'call'), busy('2026-03-19', 0, 1440, 'holiday')]
  expect(classesOnBusyDays([at(4, '2026-03-19')], all, 3600)).toEqual([
    { n: 4, day: '2026-03-19', what: 'holiday', isWhole: true },
  ])
  expect(classesOnBusyDays([at(4, '2026-03-19')], all.slice(0, 1), 3600)[0]?.isWhole).toBe(false)
})
