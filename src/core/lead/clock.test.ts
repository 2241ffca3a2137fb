import fc from 'fast-check'
import { clockAt, epochAt, readClock, runAt, takenUpClock } from './index.ts'
import type { LeadClock, Reading } from './index.ts'

/** Readings by how many seconds each clock went on since the class started. */
const start = { epochMs: 1_000_000, steadyMs: 500, wasAway: false }
const at = (epochS: number, steadyS: number, wasAway = false): Reading => ({
  epochMs: start.epochMs + epochS * 1000,
  steadyMs: start.steadyMs + steadyS * 1000,
  wasAway,
})
const begun = clockAt(0, start)
const runS = ({ read }: LeadClock) => read.runMs / 1000

/** Looks every half second up to a second, both clocks going on alike. */
function looked(toS: number): LeadClock {
  let clock = begun
  for (let seconds = 0.5; seconds <= toS; seconds += 0.5) [clock] = readClock(clock, at(seconds, seconds))
  return clock
}

test('clocks that go on alike tell nothing, however rarely they are read', () => {
  const [clock, told] = readClock(begun, at(300, 300))
  expect([runS(clock), told]).toEqual([300, undefined])
})

test.each([
  ['forward', 300],
  ['back', -300],
])('a machine’s clock that is set five minutes %s in mid-class neither stops it nor asks anything', (_, byS) => {
  const [set, told] = readClock(looked(60), at(60.5 + byS, 60.5))
  expect(told).toEqual({ type: 'anchor', epochMs: at(60.5 + byS, 0).epochMs, atMs: 60_500 })
  expect(runS(set)).toBe(60.5)
  const [later, nothing] = readClock(set, at(90 + byS, 90))
  expect([runS(later), nothing]).toEqual([90, undefined])
  // The hour on the screen is the machine's own.
  expect(epochAt(later, 100_000)).toBe(at(100 + byS, 0).epochMs)
})

test('looks that were missing while the wall clock went on are an absence, since what was seen last', () => {
  const [clock, told] = readClock(looked(60), at(700, 70))
  expect(told).toEqual({ type: 'gap', seenMs: 60_000, atMs: 700_000 })
  expect(runS(clock)).toBe(700)
})

test('a machine that slept, both of its clocks standing, is told by the wall clock where the page was away', () => {
  expect(readClock(looked(60), at(700, 60.1, true))[1]).toMatchObject({ type: 'gap', seenMs: 60_000 })
  expect(readClock(looked(60), at(700, 60.1))[1]).toMatchObject({ type: 'anchor' })
})

test('a clock set back while looks were missing takes no time away', () => {
  const [clock, told] = readClock(looked(60), at(-200, 100))
  expect([runS(clock), told?.type]).toEqual([100, 'anchor'])
})

test('between two looks time goes on with the page’s own, fractions and all', () => {
  expect(runAt(looked(10), start.steadyMs + 10_123.25)).toBe(10_123.25)
})

test('taken up in a new page load, the wall clock tells how long it was away, from the last time it was set', () => {
  const reading = { epochMs: start.epochMs + 400_000, steadyMs: 12, wasAway: false }
  const [clock, told] = takenUpClock(start.epochMs, [], 340_000, reading)
  expect([runS(clock), told]).toEqual([400, [{ type: 'gap', seenMs: 340_000, atMs: 400_000 }]])
  const set = { type: 'anchor', atMs: 100_000, epochMs: start.epochMs + 50_000 } as const
  expect(runS(takenUpClock(start.epochMs, [set], 340_000, reading)[0])).toBe(450)
})

test('taken up with a clock that was set back meanwhile, nothing seen is taken back', () => {
  const reading = { epochMs: start.epochMs - 5000, steadyMs: 12, wasAway: false }
  const [clock, told] = takenUpClock(start.epochMs, [], 340_000, reading)
  expect(runS(clock)).toBe(340)
  expect(told.map(({ type }) => type)).toEqual(['gap', 'anchor'])
  expect(readClock(clock, { ...reading, epochMs: reading.epochMs + 2000, steadyMs: 2012 })[1]).toBeUndefined()
})

test('class time never runs backwards and never past what both clocks say, whatever they do', () => {
  const moves = fc.array(
    fc.record({
      steadyS: fc.integer({ min: 0, max: 400 }),
      jumpS: fc.integer({ min: -900, max: 900 }),
      wasAway: fc.boolean(),
    }),
    { maxLength: 30 },
  )
  fc.assert(
    fc.property(moves, (steps) => {
      let clock = begun
      let [epochS, steadyS] = [0, 0]
      for (const { steadyS: on, jumpS, wasAway } of steps) {
        steadyS += on
        epochS += on + (Math.abs(jumpS) > 600 ? jumpS - Math.sign(jumpS) * 600 : 0)
        const before = runS(clock)
        const [next] = readClock(clock, at(epochS, steadyS, wasAway))
        expect(runS(next)).toBeGreaterThanOrEqual(before)
        expect(runS(next)).toBeLessThanOrEqual(before + on + 302)
        clock = next
      }
    }),
  )
})
