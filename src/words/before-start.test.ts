import { startWords } from './before-start.ts'

const seven = new Date(2026, 2, 12, 19, 0).getTime()
const minutes = (many: number) => many * 60_000
const words = (nowMin: number, startsAtMs: number | undefined, totalMin: number, promisedMin: number) =>
  startWords({
    ...{ nowMs: seven + minutes(nowMin), startsAtMs, totalMs: minutes(totalMin) },
    promisedMs: seven + minutes(promisedMin),
  })

test.each([
  [words(0, undefined, 58, 58), 'Start now: ends 19:58, as it is planned.'],
  [words(0, seven, 60, 60), 'Start now: ends 20:00; as promised.'],
  [words(-10, seven, 58, 60), 'Start now: ends 19:48; 10:00 early, 12:00 before the promised end.'],
  [
    words(5, seven, 60, 60),
    'Start now: ends 20:05; 5:00 late, 5:00 after the promised end. You are asked then when it is to end.',
  ],
])('what Start now means: %s', (said, expected) => {
  expect(said).toBe(expected)
})
