import fc from 'fast-check'
import type { LedDoing } from '#model/led-class'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessionsByClock } from '#testing/arbitraries'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { atTick, countedRun, roundsIn } from '../counted-run.ts'
import { fold, lastChance, leadPlan, refitBook, stageOf, step, waysOf } from '../index.ts'
import type { LeadEvent, LeadState, Way } from '../index.ts'
import { firstAhead } from './refitted.ts'

const timelineOf = (session: Session) => orThrow(compileTimeline(session, shippedCatalog))
function aClass(session: Session) {
  const timeline = timelineOf(session)
  const plan = leadPlan(timeline, {})
  return { session, timeline, plan, book: refitBook(timeline, session, shippedCatalog) }
}
type AClass = ReturnType<typeof aClass>
const endsMs = ({ plan }: AClass, state: LeadState): number => {
  const stage = stageOf(plan, state)
  return stage.is === 'ended' ? state.nowMs : stage.endsAtMs
}
const ways = (led: AClass, state: LeadState, endMs: number) => waysOf({ ...led, state, endMs })
const eventOf = ({ way, lengths, leaves, saidEndMs }: Way, atMs: number): LeadEvent => ({
  ...{ type: 'refit', way, lengths, leaves, atMs },
  ...(saidEndMs === undefined ? {} : { saidEndMs }),
})
const quick = { changeS: 10, setUpS: 10, settleS: 10, comingOutS: 10, afterRestS: 60 }
const hour = aClass(
  aSession(
    [
      aTalk('arrive', 240),
      aHold('deer', { hold: { holdS: 240 }, times: quick }),
      aHold('sphinx', { hold: { holdS: 180 }, times: quick }),
      aTalk('between', 120),
      aBreath('even-breath', { amount: { sets: 2, roundsPerSet: 10 } }),
      aHold('crescent-lying', { hold: { holdS: 180 }, times: quick }),
      aClosing({ finalRestS: 480 }),
    ],
    { lengthS: 3600 },
  ),
)
const named = (found: readonly Way[]) => found.map(({ way }) => way)
const only = (found: readonly Way[], way: Way['way']): Way => {
  const one = found.find((other) => other.way === way)
  if (!one) throw new Error(`no way ${way}`)
  return one
}

describe('late', () => {
  const state = fold(hour.plan, [], 60_000)
  const now = endsMs(hour, state)

  test('less between takes exactly what is lacking from talks and after-rests that have not begun', () => {
    const way = only(ways(hour, state, now - 100_000), 'lessBetween')
    expect([way.endsMs, way.fits]).toEqual([now - 100_000, true])
    expect(way.changed.map(({ blockId, of }) => [blockId, of])).toEqual([
      ['deer', 'afterRest'],
      ['sphinx', 'afterRest'],
      ['between', 'talk'],
      ['crescent-lying', 'afterRest'],
    ])
    // The talk that runs is begun; each keeps twenty seconds.
    const most = only(ways(hour, state, now - 1_000_000), 'lessBetween')
    expect([most.fits, now - most.endsMs]).toEqual([false, 40_000 * 3 + 100_000])
  })

  test('leaving out takes the fewest poses, of those the least lost, and gives what is over to the final rest', () => {
    const one = only(ways(hour, state, now - 120_000), 'leaveOut')
    expect(one.out).toEqual(['sphinx'])
    expect(one.changed).toMatchObject([{ blockId: 'closing', of: 'finalRest', fromMs: 480_000 }])
    expect([one.endsMs, one.fits]).toEqual([now - 120_000, true])
    expect(only(ways(hour, state, now - 900_000), 'leaveOut').out).toHaveLength(2)
    expect(named(ways(hour, state, 60_000))).not.toContain('leaveOut')
  })

  test('an end that is said later stands for the promise from then on', () => {
    const way = only(ways(hour, state, now - 100_000), 'endLater')
    expect(way).toMatchObject({ endsMs: now, saidEndMs: now, lengths: [], fits: false })
    expect(step(hour.plan, state, eventOf(way, 61_000))[0].saidEndMs).toBe(now)
  })

  test('shorter holds go by steps one can say, both sides alike, what is over to the final rest', () => {
    const way = only(ways(hour, state, now - 100_000), 'shorter')
    expect(way.endsMs).toBe(now - 100_000)
    expect(way.changed).toContainEqual({ blockId: 'deer', of: 'hold', fromMs: 240_000, toMs: 210_000 })
    expect(way.changed.every(({ of, toMs }) => of !== 'hold' || toMs % 15_000 === 0)).toBe(true)
  })

  test('the final rest alone goes down to its floor and no further', () => {
    const way = only(ways(hour, state, now - 600_000), 'finalRest')
    expect(way).toMatchObject({ fits: false, changed: [{ of: 'finalRest', fromMs: 480_000, toMs: 360_000 }] })
  })
})

test('ahead there is one way: the final rest to its top, then the holds, never past what was to be', () => {
  const state = fold(hour.plan, [], 60_000)
  const found = ways(hour, state, endsMs(hour, state) + 400_000)
  expect(named(found)).toEqual(['longer'])
  expect(found[0]?.fits).toBe(true)
  expect(found[0]?.changed[0]).toMatchObject({ of: 'finalRest', fromMs: 480_000 })
  expect(ways(hour, state, endsMs(hour, state))).toEqual([])
})

test('a counterpose goes with what it counters, and people come into the next pose from where they are then', () => {
  const led = aClass(
    aSession([
      aTalk('arrive', 60),
      aHold('sphinx', { hold: { holdS: 180 } }),
      aHold('wide-knee-fold', { hold: { holdS: 120 } }),
      aHold('deer', { hold: { holdS: 180 }, priority: 'must' }),
      aClosing({ finalRestS: 300, priority: 'must' }),
    ]),
  )
  const state = fold(led.plan, [], 1000)
  const way = only(ways(led, state, endsMs(led, state) - 200_000), 'leaveOut')
  expect(way.out).toEqual(['sphinx', 'wide-knee-fold'])
  const after = step(led.plan, state, eventOf(way, 1000))[0]
  const without = timelineOf({
    ...led.session,
    blocks: led.session.blocks.filter(({ id }) => !way.out.includes(id)),
  })
  const change = led.plan.segments.find(({ blockId, doing }) => blockId === 'deer' && doing.kind === 'change')
  const known = without.blocks.find(({ block }) => block.block.id === 'deer')?.change?.changeS.value ?? NaN
  expect(after.lengths[change?.index ?? -1]).toBe(known * 1000)
})

test('Back goes over what was left out to what was led before it', () => {
  const state = fold(hour.plan, [], 250_000)
  expect(hour.plan.segments[state.index]?.blockId).toBe('deer')
  const way = only(ways(hour, state, endsMs(hour, state) - 120_000), 'leaveOut')
  expect(way.out).toEqual(['sphinx'])
  const log = [eventOf(way, 250_000)]
  const later =
    fold(hour.plan, log, hour.plan.totalMs).visits.find(({ blockId }) => blockId === 'between')?.startMs ?? 0
  const back = fold(hour.plan, [...log, { type: 'back', atMs: later + 2000 }], later + 3000)
  expect(hour.plan.segments[back.index]).toMatchObject({ blockId: 'deer', doing: { kind: 'afterRest' } })
})

test('taken back, what has not begun is as it was planned', () => {
  const state = fold(hour.plan, [], 60_000)
  const way = only(ways(hour, state, endsMs(hour, state) - 300_000), 'leaveOut')
  const taken = step(hour.plan, state, eventOf(way, 61_000))[0]
  expect(taken.leaves).toEqual(way.out)
  const [back] = step(hour.plan, taken, { type: 'asPlanned', atMs: 62_000 })
  expect([back.lengths, back.leaves, back.saidEndMs]).toEqual([state.lengths, [], null])
  expect(step(hour.plan, back, { type: 'asPlanned', atMs: 63_000 })[0].lengths).toEqual(back.lengths)
})

/** Whether a stretch of breath work is left out, or is a run of whole rounds. */
function wholeRounds(doing: LedDoing, lengthMs: number): boolean {
  if (doing.kind !== 'breath') return false
  const run = countedRun(doing)
  if (!run) return lengthMs === 0 && ['rest', 'leadIn', 'wayOut'].includes(doing.part)
  return atTick(run, roundsIn(run, lengthMs) * run.length) === lengthMs
}

const moments = fc.record({
  session: sessionsByClock(6),
  at: fc.double({ min: 0, max: 1, noNaN: true }),
  byMs: fc.integer({ min: -900, max: 900 }).map((s) => s * 1000),
  stays: fc.integer({ min: 0, max: 2 }),
})

test('over any class and moment: what has begun stays, the end is what was said, and all that must hold does', () => {
  fc.assert(
    fc.property(moments, ({ session, at, byMs, stays }) => {
      const led = aClass(session)
      const atMs = Math.floor(led.plan.totalMs * at)
      const log = Array.from({ length: stays }, (_, nth): LeadEvent => ({
        type: 'stay',
        atMs: Math.max(0, atMs - 1000 * (stays - nth)),
      }))
      const state = fold(led.plan, log, atMs)
      if (state.phase === 'ended') return
      const endMs = endsMs(led, state) + byMs
      const from = firstAhead(led.plan, state)
      for (const way of ways(led, state, endMs)) {
        const [after] = step(led.plan, state, eventOf(way, atMs))
        expect(endsMs(led, after)).toBe(way.endsMs)
        expect(after.lengths.slice(0, from)).toEqual(state.lengths.slice(0, from))
        expect(way.fits).toBe(way.endsMs <= endMs)
        // Steps and whole poses may come to less where there is no final rest to take what is over.
        if (way.fits && (way.way === 'lessBetween' || way.way === 'finalRest')) expect(way.endsMs).toBe(endMs)
        for (const { index, blockId, doing, side } of led.plan.segments.slice(from)) {
          const [was, is] = [state.lengths[index] ?? 0, after.lengths[index] ?? 0]
          if (after.leaves.includes(blockId)) {
            expect(is).toBe(0)
            continue
          }
          if (doing.kind === 'talk' || doing.kind === 'afterRest')
            expect(is).toBeGreaterThanOrEqual(Math.min(was, 20_000))
          else if (doing.kind === 'closing' && doing.step === 'finalRest')
            expect(is).toBeGreaterThanOrEqual(Math.min(was, (led.book.finalRest?.floorS ?? 0) * 1000))
          // Who comes in from elsewhere than planned, where no change was, takes it before arranging.
          else if (doing.kind === 'setUp') expect(is).toBeGreaterThanOrEqual(was)
          else if (way.way === 'fewerRounds' && is !== was) expect(wholeRounds(doing, is)).toBe(true)
          else if (doing.kind !== 'hold' && doing.kind !== 'change') expect(is).toBe(was)
          if (doing.kind !== 'hold') continue
          const held = (of: string, lengths: readonly number[]) =>
            led.plan.segments.reduce(
              (sum, segment) =>
                segment.blockId === blockId && segment.side === of && segment.doing.kind === 'hold'
                  ? sum + (lengths[segment.index] ?? 0)
                  : sum,
              0,
            )
          const terms = led.book.holds.get(blockId)?.terms.sides.find((one) => one.side === side)
          const [wasHeld, isHeld] = [held(side ?? '', state.lengths), held(side ?? '', after.lengths)]
          expect(isHeld).toBeGreaterThanOrEqual(Math.min(wasHeld, (terms?.floorS ?? 0) * 1000))
          expect(isHeld).toBeLessThanOrEqual(Math.max(wasHeld, (terms?.topS ?? 0) * 1000))
          const other = side === 'left' ? 'right' : 'left'
          if (side !== 'both' && held(other, state.lengths) === wasHeld) expect(held(other, after.lengths)).toBe(isHeld)
        }
        // Led to its end from there, the class ends when it was said to, and a log of it leads to the same.
        const whole = fold(led.plan, [...log, eventOf(way, atMs)], way.endsMs)
        expect([whole.phase, whole.nowMs]).toEqual(['ended', way.endsMs])
      }
    }),
    { numRuns: 100 },
  )
})

test('a way that would change nothing is none, though the class is late', () => {
  // Nothing is left but a closing whose rest is at its floor.
  const one = aClass(aSession([aHold('sphinx', { hold: { holdS: 120 }, times: quick }), aClosing({ finalRestS: 180 })]))
  const state = fold(one.plan, [], 60_000)
  expect(named(ways(one, state, endsMs(one, state) - 600_000))).toEqual(['endLater'])
})

test('a hold that becomes shorter takes what is said at half time along; staying in it says nothing again', () => {
  const cues = [{ id: 'half', at: { share: 0.5 }, text: 'Half of it' }]
  const one = aClass(aSession([aTalk('arrive', 60), aHold('sphinx', { hold: { holdS: 180 }, times: quick, cues })]))
  const at = one.plan.segments.findIndex(({ doing }) => doing.kind === 'hold')
  const startMs = one.plan.segments.slice(0, at).reduce((sum, { lengthMs }) => sum + lengthMs, 0)
  const shorter: LeadEvent = {
    ...{ type: 'refit', way: 'shorter', leaves: [], atMs: 1000 },
    lengths: [{ segment: at, ms: 120_000 }],
  }
  const cueIn = (atMs: number, ...more: LeadEvent[]) => {
    const stage = stageOf(one.plan, fold(one.plan, [shorter, ...more], startMs + atMs))
    return stage.is === 'holding' ? stage.nextCue : undefined
  }
  expect(cueIn(20_000)).toEqual({ text: 'Half of it', inMs: 40_000 })
  expect(cueIn(70_000, { type: 'stay', atMs: startMs + 65_000 })?.text).not.toBe('Half of it')
})

test('a later end is not offered past the hour the room is free until', () => {
  const state = fold(hour.plan, [], 60_000)
  const wanted = { ...hour, state, endMs: endsMs(hour, state) - 100_000 }
  const until = (freeUntilMs: number) => named(waysOf({ ...wanted, freeUntilMs }))
  expect(until(endsMs(hour, state))).toContain('endLater')
  expect(until(endsMs(hour, state) - 1)).not.toContain('endLater')
})

test('at the last moment at which leaving one pose out would do, and only then, that pose is named', () => {
  const at = (ms: number) => fold(hour.plan, [], ms)
  const beginsMs = (blockId: string): number =>
    hour.plan.segments
      .slice(
        0,
        hour.plan.segments.findIndex((segment) => segment.blockId === blockId),
      )
      .reduce((sum, { lengthMs }) => sum + lengthMs, 0)
  // Two minutes late: the crescent, on two sides, would do alone; before it any pose does.
  const chance = (ms: number, lateMs: number) =>
    lastChance({ ...hour, state: at(ms), endMs: endsMs(hour, at(ms)) - lateMs })
  const lastMs = beginsMs('crescent-lying')
  expect(chance(lastMs - 44_000, 120_000)).toBe('crescent-lying')
  expect(chance(lastMs - 46_000, 120_000)).toBeUndefined()
  expect(chance(lastMs + 1000, 120_000)).toBeUndefined()
  expect(chance(beginsMs('deer') - 10_000, 120_000)).toBeUndefined()
  expect(chance(lastMs - 44_000, 3_000_000)).toBeUndefined()
})
