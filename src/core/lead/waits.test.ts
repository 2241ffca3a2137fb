import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { beginLead, fold, leadPlan, soundsDue, stageOf, step } from './index.ts'
import type { LeadEvent, LeadState } from './index.ts'

const planOf = (session: Session) => leadPlan(orThrow(compileTimeline(session, shippedCatalog)), {})
const times = {
  changeS: 20,
  setUpS: 40,
  settleS: 30,
  comingOutS: 10,
  betweenSidesS: 15,
  secondSetUpS: 20,
  afterRestS: 0,
}
const holds = [aTalk('arrive', 60), aHold('deer', { hold: { holdS: 120 }, times }), aClosing({ finalRestS: 300 })]
const whenISay = planOf(aSession(holds, { answers: { holdBegins: 'whenISay' } }))
const byClock = planOf(aSession(holds, { answers: { holdBegins: 'byClock' } }))
const settled = (s: number): LeadEvent => ({ type: 'settled', atMs: s * 1000 })
const doing = (plan: typeof whenISay, state: LeadState) => {
  const { doing: now, side } = plan.segments[state.index] ?? {}
  return `${now?.kind ?? ''} ${side ?? ''}`.trim()
}

test('restorative classes begin a hold when the teacher says so, others by the clock, and a session may say otherwise', () => {
  const waits = (session: Session) => planOf(session).segments.some((segment) => segment.waits)
  expect(waits(aSession(holds, { schoolId: 'restorative' }))).toBe(true)
  expect(waits(aSession(holds, { schoolId: 'restorative', answers: { holdBegins: 'byClock' } }))).toBe(false)
  expect(waits(aSession(holds, { schoolId: 'yin' }))).toBe(false)
  // Each side is waited for; the closing is not.
  expect(whenISay.segments.filter((segment) => segment.waits).map(({ doing: now, side }) => [now.kind, side])).toEqual([
    ['settle', 'left'],
    ['settle', 'right'],
  ])
})

test('until all are settled nothing goes on, however long it takes; said, the hold begins then, with its bell', () => {
  const waiting = fold(whenISay, [], 400_000)
  expect(doing(whenISay, waiting)).toBe('settle left')
  const stage = stageOf(whenISay, waiting)
  expect(stage.is === 'between' && stage.settling).toEqual({ forMs: 340_000, plannedMs: 90_000 })
  // Nothing is sounded ahead of what nobody knows.
  expect(soundsDue(whenISay, waiting)).toEqual([])
  const held = fold(whenISay, [settled(400)], 400_000)
  expect([doing(whenISay, held), held.startedMs]).toEqual(['hold left', 400_000])
  const bells = soundsDue(whenISay, held).filter(({ sound }) => sound.kind !== 'wood')
  expect(bells.length).toBeGreaterThan(0)
  // The second side takes the first's time, and is waited for as well.
  const later = fold(whenISay, [settled(400)], 2_000_000)
  expect(doing(whenISay, later)).toBe('settle right')
})

test('it is said from the change on: whoever lies early is led early', () => {
  expect(doing(whenISay, fold(whenISay, [settled(70)], 70_000))).toBe('hold left')
  expect(doing(whenISay, fold(whenISay, [settled(30)], 60_000))).toBe('change')
})

test('where the clock leads, the same word ends a change or a set-up, and no more', () => {
  const at = (s: number) => doing(byClock, fold(byClock, [settled(s)], s * 1000))
  expect([at(65), at(90), at(125)]).toEqual(['setUp left', 'settle left', 'settle left'])
  expect(doing(byClock, fold(byClock, [], 400_000))).not.toBe('settle left')
})

test('a class in which it is said at some time each time is led whole and in order, and its end is where it comes to', () => {
  const delays = fc.array(fc.integer({ min: 1, max: 300 }), { minLength: 40, maxLength: 40 })
  fc.assert(
    fc.property(sessions(4), delays, (session, waits) => {
      const plan = planOf({ ...session, answers: { ...session.answers, holdBegins: 'whenISay' } })
      let state = beginLead(plan)
      const log: LeadEvent[] = []
      for (let turn = 0; state.phase === 'running' && turn < 200; turn += 1) {
        const atMs = state.nowMs + (waits[turn % waits.length] ?? 1) * 1000
        const event = settled(atMs / 1000)
        ;[state] = step(plan, state, event)
        log.push(event)
      }
      if (state.phase === 'running') state = fold(plan, log, state.nowMs + 40_000_000)
      const begun = state.visits.flatMap(({ segment }) => segment ?? [])
      expect([...begun].sort((a, b) => a - b)).toEqual(begun)
      for (const { index, doing: now, lengthMs } of plan.segments)
        if (now.kind === 'hold' && lengthMs > 0 && index < (begun.at(-1) ?? 0)) expect(begun).toContain(index)
      expect(fold(plan, log, state.nowMs)).toEqual(state)
    }),
    { numRuns: 60 },
  )
})
