import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessionsByClock } from '#testing/arbitraries'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import {
  fold,
  isRefitted,
  leadPlan,
  leftIn,
  movedBy,
  orderedPlan,
  refitBook,
  soundsDue,
  stageOf,
  step,
  visitsAsPlanned,
  waysOf,
} from '../index.ts'
import type { LeadEvent, LeadState, Way } from '../index.ts'

const timelineOf = (session: Session) => orThrow(compileTimeline(session, shippedCatalog))
function aClass(session: Session) {
  const timeline = timelineOf(session)
  return { session, plan: leadPlan(timeline, {}), book: refitBook(timeline, session, shippedCatalog) }
}
type AClass = ReturnType<typeof aClass>
const eventOf = ({ way, lengths, leaves, order }: Way, atMs: number): LeadEvent => ({
  ...{ type: 'refit', way, lengths, leaves, atMs },
  ...(order === undefined ? {} : { order }),
})
const endsMs = ({ plan }: AClass, state: LeadState): number => {
  const stage = stageOf(plan, state)
  return stage.is === 'ended' ? state.nowMs : stage.endsAtMs
}
const quick = { setUpS: 10, settleS: 10, comingOutS: 10, afterRestS: 30 }
const blocks = [
  aTalk('arrive', 60),
  aHold('sphinx', { hold: { holdS: 120 }, times: quick }),
  aHold('wide-knee-fold', { hold: { holdS: 120 }, times: quick }),
  aHold('deer', { hold: { holdS: 120 }, times: quick }),
  aBreath('even-breath', { amount: { sets: 1, roundsPerSet: 10 }, times: { setUpS: 10 } }),
  aClosing({ finalRestS: 300 }),
]
const led = aClass(aSession(blocks, { answers: { holdBegins: 'byClock' } }))
const early = fold(led.plan, [], 1000)
const move = (state: LeadState, blockId: string, by: 1 | -1) => movedBy({ ...led, state }, blockId, by)
const moved = (state: LeadState, blockId: string, by: 1 | -1): LeadState => {
  const way = move(state, blockId, by)
  if (!way) throw new Error(`${blockId} cannot be moved`)
  return step(led.plan, state, eventOf(way, state.nowMs))[0]
}
/** Blocks in the order in which they will be led. */
const orderOf = (state: LeadState) => [
  ...new Set(orderedPlan(led.plan, state.order).segments.map(({ blockId }) => blockId)),
]

describe('moving what has not begun', () => {
  it('leads it in another order, with the changes that takes, and tells the end to the second', () => {
    const way = move(early, 'deer', 1)
    const after = moved(early, 'deer', 1)
    expect(orderOf(after)).toEqual(['arrive', 'sphinx', 'wide-knee-fold', 'breath', 'deer', 'closing'])
    expect(endsMs(led, after)).toBe(way?.endsMs)
    // As long as the session is with its blocks in that order.
    const [arrive, sphinx, fold2, deer, breath, closing] = blocks
    const otherwise = [arrive, sphinx, fold2, breath, deer, closing].flatMap((block) => block ?? [])
    expect(endsMs(led, after)).toBe(timelineOf({ ...led.session, blocks: otherwise }).totalMs)
    expect(leftIn({ ...led, state: after }).map(({ blockId }) => blockId)).toEqual(orderOf(after).slice(1))
  })

  it('keeps what has begun, the closing last, and a counterpose after what it counters', () => {
    const inSphinx = fold(led.plan, [], 100_000)
    expect(move(inSphinx, 'sphinx', 1)).toBeUndefined()
    expect(move(inSphinx, 'wide-knee-fold', -1)).toBeUndefined()
    expect(move(early, 'closing', -1)).toBeUndefined()
    expect(move(early, 'breath', 1)).toBeUndefined()
    // The fold counters the sphinx.
    expect(move(early, 'wide-knee-fold', -1)).toBeUndefined()
    expect(move(early, 'wide-knee-fold', 1)).toBeDefined()
    const [, fold2] = leftIn({ ...led, state: early })
    expect(fold2).toMatchObject({ blockId: 'wide-knee-fold', mayMove: { earlier: false, later: true } })
  })

  it('is as planned again when it is taken back, and comes out the same from its log', () => {
    const way = move(early, 'deer', 1)
    if (!way) throw new Error('deer cannot be moved')
    const log = [eventOf(way, 1000)]
    const after = moved(early, 'deer', 1)
    expect(isRefitted(led.plan, after)).toBe(true)
    expect(fold(led.plan, log, 1000)).toEqual(after)
    const [back] = step(led.plan, after, { type: 'asPlanned', atMs: 2000 })
    expect([back.order, back.lengths]).toEqual([null, early.lengths])
    expect(isRefitted(led.plan, back)).toBe(false)
    expect(move(moved(early, 'deer', 1), 'deer', -1)?.order).toEqual([0, 1, 2, 3, 4, 5])
  })

  it('once a moved block has begun, as planned leaves it where it was led', () => {
    const way = move(early, 'deer', 1)
    if (!way) throw new Error('deer cannot be moved')
    const first = moved(early, 'deer', 1)
    const { segments } = orderedPlan(led.plan, first.order)
    const at = segments.findIndex(({ blockId, doing }) => blockId === 'deer' && doing.kind === 'hold')
    const until = first.lengths.slice(0, at).reduce((sum, ms) => sum + ms, 0) + 30_000
    const inDeer = fold(led.plan, [eventOf(way, 1000)], until)
    expect(segments[inDeer.index]?.blockId).toBe('deer')
    const [after] = step(led.plan, inDeer, { type: 'asPlanned', atMs: until + 1000 })
    expect(orderOf(after)).toEqual(orderOf(first))
  })
})

const moments = fc.record({
  session: sessionsByClock(6),
  at: fc.double({ min: 0, max: 0.9, noNaN: true }),
  tries: fc.array(fc.record({ which: fc.nat(5), by: fc.constantFrom(1 as const, -1 as const) }), { maxLength: 4 }),
})

test('in whatever order: each block is led once, what had begun stays, and the class ends when it was said', () => {
  fc.assert(
    fc.property(moments, ({ session, at, tries }) => {
      const one = aClass(session)
      const atMs = Math.floor(one.plan.totalMs * at)
      let state = fold(one.plan, [], atMs)
      if (state.phase === 'ended') return
      const begun = state.visits.length
      const log: LeadEvent[] = []
      for (const { which, by } of tries) {
        const left = leftIn({ ...one, state })
        const way = movedBy({ ...one, state }, left[which % Math.max(1, left.length)]?.blockId ?? '', by)
        if (!way) continue
        const event = eventOf(way, atMs)
        log.push(event)
        state = step(one.plan, state, event)[0]
        expect(endsMs(one, state)).toBe(way.endsMs)
      }
      const endMs = endsMs(one, state)
      const whole = fold(one.plan, log, endMs)
      expect([whole.phase, whole.nowMs]).toEqual(['ended', endMs])
      const visits = visitsAsPlanned(one.plan, whole)
      expect(visits.slice(0, begun)).toEqual(fold(one.plan, [], atMs).visits.slice(0, begun))
      // Every segment that takes any time is led once, under its own place in the plan.
      const done = visits.map(({ segment }) => segment)
      expect(new Set(done).size).toBe(done.length)
      for (const { segment, blockId } of visits) expect(one.plan.segments[segment ?? -1]?.blockId).toBe(blockId)
      const sounds = soundsDue(one.plan, state).map(({ atMs: when }) => when)
      expect(sounds.every((when) => when >= atMs && when <= endMs)).toBe(true)
      // The other ways are worked out for it as it is led.
      for (const way of waysOf({ ...one, state, endMs: endMs - 60_000 })) {
        const [after] = step(one.plan, state, eventOf(way, atMs))
        expect(endsMs(one, after)).toBe(way.endsMs)
      }
    }),
    { numRuns: 80 },
  )
})
