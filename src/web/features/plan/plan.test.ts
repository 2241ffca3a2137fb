import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { evennessWords, gaugeOf } from './gauge.ts'

const gauge = (wantedS: number) =>
  gaugeOf(
    orThrow(compileTimeline(aSession([aTalk('a', 300), aHold('sphinx', { setUpItems: [] })]), shippedCatalog)),
    wantedS,
  )

test('the gauge says what is to spare, what is over, and when it fits', () => {
  // Talk 5:00, set-up and settle 0:15, hold 3:00, coming out 0:10, after-rest 1:00: 9:25.
  expect(gauge(600).words).toBe('0:35 to spare')
  expect(gauge(565).words).toBe('fits')
  expect(gauge(300).words).toBe('4:25 over')
  expect(gauge(600).parts.map(({ words }) => words)).toEqual(['3:00 held', '5:00 talk', '1:25 between'])
  expect(gauge(600).parts.reduce((sum, { percent }) => sum + percent, 0)).toBeCloseTo((565 / 600) * 100)
  expect(gauge(300).wantedPercent).toBeCloseTo((300 / 565) * 100)
})

test.each([
  [600, 600, 'even'],
  [600, 575, 'even'],
  [600, 550, 'right 0:50 short, 8 % apart'],
  [400, 500, 'left 1:40 short, 20 % apart'],
  [0, 0, ''],
])('sides of %d and %d s are told as "%s"', (left, right, words) => {
  expect(evennessWords(left * 1000, right * 1000)).toBe(words)
})
