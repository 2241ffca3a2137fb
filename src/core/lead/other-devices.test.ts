import fc from 'fast-check'
import type { KeptEvent, LeadEvent } from '#model/led-class'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessionsByClock } from '#testing/arbitraries'
import { aHold, aSession } from '#testing/sessions'
import {
  aheadBy,
  beginClass,
  eventsOnScreen,
  fold,
  heardZeros,
  isInTouch,
  ledStart,
  leasedTo,
  leaseMs,
  lookAtClass,
  onScreen,
  renewed,
  soundsDue,
  stageOf,
  takeOverClass,
  tellClass,
  usualBreathSounds,
  zeroOf,
} from './index.ts'
import type { Conducted, HeardZeros } from './index.ts'

const startOf = (session: ReturnType<typeof aSession>, startedAtMs = 0) =>
  ledStart(session, orThrow(compileTimeline(session, shippedCatalog)), {
    ...{ id: 'evening', people: 6, startedAtMs, promisedEndMs: startedAtMs + 3_600_000 },
    ...{ nameOf: () => 'Deer', sectionNameOf: () => '' },
  })
const session = aSession([aHold('deer'), aHold('sphinx')])
const reading = (ms: number) => ({ epochMs: ms, steadyMs: ms, wasAway: false })

describe('who leads', () => {
  test('is whoever took it last; being out of touch ends nothing', () => {
    const lease = leasedTo('laptop', 1000)
    expect([isInTouch(lease, 1000 + leaseMs - 1), isInTouch(lease, 1000 + leaseMs)]).toEqual([true, false])
    expect(renewed(lease, 'laptop', 900_000)).toEqual({ by: 'laptop', untilMs: 930_000 })
    expect(renewed(lease, 'tablet', 900_000)).toBeUndefined()
    expect(renewed(undefined, 'tablet', 900_000)?.by).toBe('tablet')
  })
})

describe('the class’s clock as the server hears it', () => {
  const delays = fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 1, maxLength: 12 })

  test('is never ahead of it, and as near as the shortest way', () => {
    fc.assert(
      fc.property(delays, fc.integer({ min: -100_000, max: 100_000 }), (each, zeroMs) => {
        let heard: HeardZeros = []
        each.forEach((delayMs, at) => (heard = heardZeros(heard, zeroMs + at * 5000 + delayMs, at * 5000)))
        expect(zeroOf(heard)).toBe(zeroMs + Math.min(...each))
      }),
      { numRuns: 100 },
    )
  })

  test('is heard anew where it was set, and follows clocks that run apart', () => {
    let heard: HeardZeros = []
    for (let at = 0; at < 200; at += 1) heard = heardZeros(heard, at * 5000 + at, at * 5000)
    // The oldest of the last twelve, not of the whole class.
    expect(zeroOf(heard)).toBe(188)
    expect(zeroOf(heardZeros(heard, 4_000_000, 2_000_000))).toBe(2_000_000)
    expect(zeroOf([])).toBeUndefined()
  })

  test('a screen tells its own clock from the server’s by the look that took the shortest', () => {
    const looks = [
      { askedMs: 0, answeredMs: 400, theirsMs: 70_390 },
      { askedMs: 1000, answeredMs: 1010, theirsMs: 71_005 },
    ]
    expect(aheadBy(looks)).toBe(70_000)
    expect(() => aheadBy([])).toThrow(RangeError)
  })
})

/** Told at these class times, one after the other. */
const toldTypes = [
  'pause',
  'resume',
  'stay',
  'end',
  'back',
  'freely',
  'mark',
  'cameLate',
  'settled',
  'stopCard',
] as const
const told = fc.array(
  fc.record({ type: fc.constantFrom(...toldTypes), afterMs: fc.integer({ min: 0, max: 400_000 }) }),
  { maxLength: 12 },
)
const logOf = (acts: readonly { type: (typeof toldTypes)[number]; afterMs: number }[]): LeadEvent[] => {
  let atMs = 0
  return acts.map(({ type, afterMs }) => ({ type, atMs: (atMs += afterMs) }))
}
const keptOf = (log: readonly LeadEvent[]): KeptEvent[] => log.map((event, at) => ({ n: at + 1, by: 'laptop', event }))

test('a screen that is told nothing of what is said is where the class is, whatever happened to it', () => {
  fc.assert(
    fc.property(sessionsByClock(), told, fc.integer({ min: 0, max: 5_000_000 }), (made, acts, moreMs) => {
      const start = startOf(made)
      const log = logOf(acts)
      const atMs = (log.at(-1)?.atMs ?? 0) + moreMs
      const { plan } = onScreen(start)
      const [full, shown] = [fold(start.plan, log, atMs), fold(plan, eventsOnScreen(keptOf(log)), atMs)]
      const [a, b] = [stageOf(start.plan, full), stageOf(plan, shown)]
      expect(b.is).toBe(a.is)
      if (a.is === 'ended' || b.is === 'ended') return
      expect([b.leftMs, b.segment.index, b.endsAtMs]).toEqual([a.leftMs, a.segment.index, a.endsAtMs])
    }),
    { numRuns: 60 },
  )
})

describe('a class taken over by another device', () => {
  const start = startOf(session)
  const laptop = (atMs: number): Conducted => lookAtClass(beginClass(start, reading(0), 'laptop'), reading(atMs))[0]
  /** The tablet's own clock is wrong by an hour. */
  const ahead = 3_600_000
  const tablet = ({ events }: Conducted, runMs: number, silentSinceMs?: number) =>
    takeOverClass({ start, events, runMs, silentSinceMs }, { ...reading(77), epochMs: runMs + ahead }, 'tablet')[0]

  test('goes on at the same instant, and by the clock of the device that has it now', () => {
    const before = laptop(130_400)
    const taken = tablet(before, 130_400)
    expect([taken.state.nowMs, taken.state.index]).toEqual([130_400, before.state.index])
    expect(taken.events.at(0)).toEqual({
      n: 1,
      by: 'tablet',
      event: { type: 'anchor', epochMs: 3_730_400, atMs: 130_400 },
    })
    const later = lookAtClass(taken, { epochMs: 130_400 + ahead + 9000, steadyMs: 9077, wasAway: false })[0]
    expect([later.state.nowMs, later.events.length]).toEqual([139_400, taken.events.length])
  })

  test('rings what is to come and nothing that was: no bell twice, none left out', () => {
    const due = ({ state }: Conducted) => soundsDue(start.plan, state, usualBreathSounds).map(({ atMs }) => atMs)
    const before = laptop(61_000)
    const wanted = due(before).filter((atMs) => atMs > 200_000)
    expect(wanted.length).toBeGreaterThan(2)
    expect(due(tablet(before, 200_000)).filter((atMs) => atMs > 200_000)).toEqual(wanted)
  })

  test('tells the bells that nobody rang while the other device was silent, and none while it was not', () => {
    const before = laptop(10_000)
    const missedBy = (taken: Conducted) =>
      taken.events.flatMap(({ event }) => (event.type === 'missed' ? [event.bells] : []))
    expect(missedBy(tablet(before, 400_000))).toEqual([])
    const [bells = 0] = missedBy(tablet(before, 400_000, 10_000))
    expect(bells).toBe(laptop(400_000).state.bells - before.state.bells)
    expect(bells).toBeGreaterThan(0)
  })

  test('is conducted on from there: its events go on from those that are kept', () => {
    const paused = tellClass(laptop(100_000), 'pause', reading(100_000))[0]
    const taken = tablet(paused, 150_000)
    expect(taken.state.pause).not.toBeNull()
    const on = tellClass(taken, 'resume', { epochMs: 160_000 + ahead, steadyMs: 10_077, wasAway: false })[0]
    expect(on.events.map(({ n, by }) => [n, by])).toEqual([
      [1, 'laptop'],
      ...on.events.slice(1).map(({ n }) => [n, 'tablet']),
    ])
    expect(on.events.map(({ n }) => n)).toEqual(on.events.map((_, at) => at + 1))
    // What is kept folds to what is seen.
    const folded = fold(
      start.plan,
      on.events.map(({ event }) => event),
      on.state.nowMs,
    )
    expect([folded.index, folded.startedMs, folded.lengths]).toEqual([
      on.state.index,
      on.state.startedMs,
      on.state.lengths,
    ])
    expect(on.state.pause).toBeNull()
  })
})
