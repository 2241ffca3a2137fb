import fc from 'fast-check'
import { orThrow } from '#core/result'
import { learnedSeconds } from './index.ts'

test.each([
  ['L1', 40, [60, 60, 60], 50],
  ['L2', 40, [60, 60], 40],
  ['L3', 30, [200, 35, 30, 28, 31], 35],
  ['L4', 10, [14, 15, 13, 14], 12],
  ['L5', 40, Array.from({ length: 12 }, () => 90), 85],
  ['L7', 0, [25, 30, 28], 11],
  ['L6', 45, [150, 140, 155, 160, 150, 148, 152, 600, 151], 135],
])('%s', (_, defaultS, seenS, wanted) => {
  expect(orThrow(learnedSeconds({ defaultS, seenS }))).toBe(wanted)
})

test('what is no time is refused with its field', () => {
  expect(learnedSeconds({ defaultS: NaN, seenS: [] })).toMatchObject({ code: 'NOT_FINITE', field: 'defaultS' })
  expect(learnedSeconds({ defaultS: 40, seenS: [30, -1] })).toMatchObject({ code: 'OUT_OF_RANGE', field: 'seenS.1' })
})

test('property: what is learned lies between the default and what was seen, in steps one can say', () => {
  fc.assert(
    fc.property(fc.nat(300), fc.array(fc.nat(600), { maxLength: 20 }), (defaultS, seenS) => {
      const learned = orThrow(learnedSeconds({ defaultS, seenS }))
      const grain = defaultS < 20 ? 1 : 5
      expect(learned).toBeGreaterThanOrEqual(Math.min(defaultS, ...seenS) - grain)
      expect(learned).toBeLessThanOrEqual(Math.max(defaultS, ...seenS) + grain)
      if (seenS.length >= 3) expect(learned % grain).toBe(0)
      expect(orThrow(learnedSeconds({ defaultS, seenS: seenS.slice(0, 2) }))).toBe(defaultS)
    }),
  )
})
