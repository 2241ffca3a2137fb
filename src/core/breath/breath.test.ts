import fc from 'fast-check'
import { orThrow } from '#core/result'
import { second } from '#testing/breath'
import { boundaryMs, fillTime, patternText, roundHalfCounts, roundParts, roundsThatFit } from './index.ts'

const even = { in: 8, full: 0, out: 8, empty: 0 }
const filled = (input: Parameters<typeof fillTime>[0]) => orThrow(fillTime(input))

const patterns = fc.record({
  in: fc.integer({ min: 1, max: 20 }),
  full: fc.integer({ min: 0, max: 20 }),
  out: fc.integer({ min: 1, max: 20 }),
  empty: fc.integer({ min: 0, max: 20 }),
})
const paces = fc.record({ num: fc.integer({ min: 750, max: 3000 }), den: fc.integer({ min: 1, max: 3 }) })

test('thirty rounds of four in and four out at a second a count last four minutes', () => {
  expect(boundaryMs(30 * roundHalfCounts(even), second)).toBe(240_000)
})

test('a pace of a third of a second never drifts from its true time by a millisecond or more', () => {
  const third = { num: 1000, den: 3 }
  for (let k = 0; k < 2000; k += 1) {
    const trueMs = (k * 1000) / 6
    expect(trueMs - boundaryMs(k, third)).toBeGreaterThanOrEqual(0)
    expect(trueMs - boundaryMs(k, third)).toBeLessThan(1)
  }
})

test('parts follow each other without gap and retentions of no length are left out', () => {
  fc.assert(
    fc.property(patterns, fc.integer({ min: 1, max: 20 }), (pattern, rounds) => {
      const parts = roundParts(pattern, rounds)
      parts.forEach((part, index) => {
        expect(part.from).toBe(parts[index - 1]?.to ?? 0)
        expect(part.to).toBeGreaterThan(part.from)
      })
      expect(parts.at(-1)?.to).toBe(rounds * roundHalfCounts(pattern))
    }),
  )
})

test('six minutes of nine counts in sets of nine rounds with 45 s between take three sets and 0:27', () => {
  const longer = { in: 8, full: 0, out: 10, empty: 0 }
  expect(filled({ timeMs: 360_000, pattern: longer, pace: second, roundsPerSet: 9, restMs: 45_000 })).toEqual({
    rounds: 27,
    sets: [9, 9, 9],
    leftMs: 27_000,
  })
})

test('a time shorter than a round is all natural breath', () => {
  const input = { timeMs: 7_000, pattern: even, pace: second, roundsPerSet: 6, restMs: 30_000 }
  expect(filled(input)).toEqual({ rounds: 0, sets: [], leftMs: 7_000 })
})

test('filling takes the most rounds: one more would not fit', () => {
  fc.assert(
    fc.property(
      patterns,
      paces,
      fc.integer({ min: 5_000, max: 1_800_000 }),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 0, max: 90 }),
      (pattern, pace, timeMs, perSet, restS) => {
        const { rounds, sets, leftMs } = filled({
          timeMs,
          pattern,
          pace,
          roundsPerSet: perSet,
          restMs: restS * 1000,
        })
        expect(sets.reduce((sum, set) => sum + set, 0)).toBe(rounds)
        const takes = (count: number) =>
          boundaryMs(count * roundHalfCounts(pattern), pace) + Math.max(0, Math.ceil(count / perSet) - 1) * restS * 1000
        expect(leftMs).toBe(timeMs - takes(rounds))
        expect(leftMs).toBeGreaterThanOrEqual(0)
        expect(takes(rounds + 1)).toBeGreaterThan(timeMs)
        expect(sets.slice(0, -1).every((set) => set === perSet)).toBe(true)
      },
    ),
  )
})

test('a round that ends exactly with the time still fits', () => {
  fc.assert(
    fc.property(patterns, paces, fc.integer({ min: 1, max: 200 }), (pattern, pace, rounds) => {
      const endMs = boundaryMs(rounds * roundHalfCounts(pattern), pace)
      expect(roundsThatFit(endMs, pattern, pace)).toBe(rounds)
    }),
  )
})

test('a ratio shows its retentions only when there are any', () => {
  expect(patternText(even)).toBe('4\u202f:\u202f4')
  expect(patternText({ in: 8, full: 2, out: 13, empty: 0 })).toBe('4\u202f:\u202f1\u202f:\u202f6.5\u202f:\u202f0')
})
