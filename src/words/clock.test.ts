import { clockAfter } from './clock.ts'

test('an hour so many minutes later goes on over midnight, and has no summer time', () => {
  expect(clockAfter('19:00', 0)).toBe('19:00')
  expect(clockAfter('19:00', 75)).toBe('20:15')
  expect(clockAfter('23:50', 20)).toBe('00:10')
  expect(clockAfter('01:30', 60)).toBe('02:30')
})
