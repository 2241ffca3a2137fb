import { steadinessWords } from '#words/steadiness'
import { countIn, heldCount, overAt, withTap } from './taps.ts'
import type { Taps } from './taps.ts'

const second = { num: 1000, den: 1 }
const none: Taps = { lengthMs: 60_000, at: [] }
const tapped = (...at: number[]): Taps => at.reduce(withTap, none)
const every = (ms: number, count: number) => tapped(...Array.from({ length: count }, (_, at) => 5000 + at * ms))

test('the practice begins with the first tap and lasts as long as was chosen', () => {
  expect(overAt(none)).toBeUndefined()
  const taps = every(1000, 10)
  expect(overAt(taps)).toBe(65_000)
  expect(withTap(taps, 66_000)).toBe(taps)
})

test('a bounce is no tap', () => {
  expect(tapped(5000, 5040, 6000, 6079, 7000).at).toEqual([5000, 6000, 7000])
})

test('what the count did is told in words with its numbers, once there are nine taps', () => {
  expect(heldCount(none, 1000)).toBeUndefined()
  expect(heldCount(every(1000, 8), 1000)).toBeUndefined()
  const even = heldCount(every(1000, 40), 1000)
  expect(even && steadinessWords(even, 1)).toEqual([
    'as long as wanted on the whole',
    'the same at the end as at the start',
    'uneven by 0.0 % from one count to the next',
  ])
  const slow = heldCount(every(1050, 40), 1000)
  expect(slow && steadinessWords(slow, 1)[0]).toBe('5.0 % slower than wanted on the whole')
  const faster = heldCount(tapped(...Array.from({ length: 61 }, (_, at) => 1000 * at - at * (at - 1))), 1000)
  expect(faster && steadinessWords(faster, 1)[1]).toBe('13.5 % faster by the end than at the start')
})

test('four counts are sounded at the pace before one goes on by oneself', () => {
  expect(countIn({ num: 1200, den: 1 }).map(({ atMs }) => atMs)).toEqual([1200, 2400, 3600, 4800])
  expect(countIn(second)).toHaveLength(4)
})
