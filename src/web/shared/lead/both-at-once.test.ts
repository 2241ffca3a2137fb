import { bothAtOnce } from './both-at-once.ts'

/** Two clocks of one time, a fixed way apart; each look takes as long as it is told, ms. */
function clocks(looksMs: readonly number[]) {
  let nowMs = 1000
  let looks = 0
  const look = () => {
    nowMs += looksMs[looks] ?? 0.01
    looks += 1
    return nowMs
  }
  return { steadyMs: look, other: () => 500_000 + look(), looks: () => looks }
}
const read = ({ steadyMs, other }: ReturnType<typeof clocks>) => bothAtOnce(steadyMs, other)
const apart = ({ steadyMs, other }: ReturnType<typeof bothAtOnce>): number => other - steadyMs

test('a machine that pauses between the two looks does not shift one clock against the other', () => {
  const paused = clocks([0.01, 3.8, 0.01])
  expect(Math.abs(apart(read(paused)) - 500_000)).toBeLessThan(0.1)
  // The pause may come after the second look as well.
  expect(Math.abs(apart(read(clocks([0.01, 0.01, 13.7]))) - 500_000)).toBeLessThan(0.1)
})

test('on a machine that always pauses the pair that lies closest is taken, and the looking ends', () => {
  const busy = clocks([1, 9, 9, 1, 2, 2, ...Array.from({ length: 60 }, () => 5)])
  expect(Math.abs(apart(read(busy)) - 500_000)).toBeLessThanOrEqual(2)
  expect(busy.looks()).toBeLessThanOrEqual(24)
})

test('a quiet machine is looked at once', () => {
  const quiet = clocks([])
  read(quiet)
  expect(quiet.looks()).toBe(3)
})
