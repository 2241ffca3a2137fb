import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import type { Doing } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessions, sessionsByClock } from '#testing/arbitraries'
import { beginLead, breathNow, fold, leadPlan, movementNow, soundsDue, step } from './index.ts'
import type { BreathNow, Command, LeadEvent, LeadInput, LeadPlan, LeadState } from './index.ts'

const planOf = (session: Session): LeadPlan => leadPlan(orThrow(compileTimeline(session, shippedCatalog)), {})

/** Where a counted breath turns: not where a lock is taken or let go in a held one. */
function turnsHere(doing: Doing, before: Doing | undefined): boolean {
  if (doing.kind !== 'breath' || !['in', 'full', 'out', 'empty', 'pause'].includes(doing.part)) return false
  const isHeld = doing.part === 'full' || doing.part === 'empty'
  return !isHeld || before?.kind !== 'breath' || before.part !== doing.part
}

test('sounds asked for before the start are the bells of the timeline and a tick a turn', () => {
  fc.assert(
    fc.property(sessionsByClock(5), (session) => {
      const timeline = orThrow(compileTimeline(session, shippedCatalog))
      const plan = leadPlan(timeline, {})
      const due = soundsDue(plan, beginLead(plan))
      const bells = due.filter(({ key }) => !/^(turn|over|stroke|count)/.test(key))
      const planned = timeline.cues.filter(({ sound }) => sound !== undefined)
      expect(bells.map(({ atMs }) => atMs)).toEqual(planned.map(({ atMs }) => atMs))
      const turns = timeline.segments.filter(({ doing }, at) => turnsHere(doing, timeline.segments[at - 1]?.doing))
      expect(due.filter(({ key }) => key.startsWith('turn')).map(({ atMs }) => atMs)).toEqual(
        turns.map(({ startMs }) => startMs),
      )
    }),
  )
})

const commands: Command[] = [
  'pause',
  'resume',
  'theyComeOut',
  'stay',
  'end',
  'back',
  'match',
  'freely',
  'stopCard',
  'countAgain',
  'mark',
  'bell',
  'cameLate',
  'settled',
  'asPlanned',
  'wentOn',
]
const asked = ['tick', 'gap', ...commands] as const
const logs = fc
  .array(fc.record({ type: fc.constantFrom(...asked), afterMs: fc.integer({ min: 0, max: 90_000 }) }), {
    maxLength: 25,
  })
  .map((drafts) => {
    let atMs = 0
    return drafts.map(({ type, afterMs }): LeadInput => {
      const seenMs = atMs
      atMs += afterMs
      return type === 'gap' ? { type, seenMs, atMs } : { type, atMs }
    })
  })
/** What is kept of it: everything but that time passed. */
const kept = (log: readonly LeadInput[]): LeadEvent[] => log.filter((input) => input.type !== 'tick')
const led = fc.tuple(sessions(5), logs)

test('time never runs backwards, and what was conducted tiles the class without gap or overlap', () => {
  fc.assert(
    fc.property(led, ([session, log]) => {
      const plan = planOf(session)
      let state = beginLead(plan)
      for (const event of log) {
        const [next] = step(plan, state, event)
        // Only the answer to a gap may find that the class was over before.
        if (next.phase === 'running') expect(next.nowMs).toBeGreaterThanOrEqual(state.nowMs)
        state = next
      }
      const broken = state.visits.filter(
        ({ startMs, endMs }, index) => startMs !== (state.visits[index - 1]?.endMs ?? 0) || endMs <= startMs,
      )
      expect(broken).toEqual([])
      const end = state.visits.at(-1)?.endMs ?? 0
      expect(state.phase === 'ended' ? state.nowMs : state.startedMs).toBe(
        state.phase === 'ended' ? Math.max(end, state.nowMs) : end,
      )
    }),
  )
})

test('no sequence lengthens a retention, or comes into one but from the part before it', () => {
  fc.assert(
    fc.property(led, fc.array(fc.nat(40 * 60_000), { minLength: 20, maxLength: 20 }), ([session, log], instants) => {
      const plan = planOf(session)
      const events = kept(log)
      const until = (ms: number) => events.filter(({ atMs }) => atMs <= ms)
      for (const atMs of instants) {
        const state = fold(plan, until(atMs), atMs)
        const now = breathNow(plan, state)
        if (now?.part !== 'full' && now?.part !== 'empty') continue
        const justBefore = now.startMs - 1
        const before = breathNow(plan, fold(plan, until(justBefore), justBefore))
        expect(before).toMatchObject({ part: now.part === 'full' ? 'in' : 'out', round: now.round, endMs: now.startMs })
        expect(now.endMs - now.startMs).toBe(plannedMs(plan, state, now))
      }
    }),
  )
})

test('after a stop sign no breath is held or stroked any more, and none is counted for three minutes', () => {
  const stops = fc.tuple(sessions(5), logs, fc.array(fc.nat(60 * 60_000), { minLength: 20, maxLength: 20 }))
  fc.assert(
    fc.property(stops, ([session, log, instants]) => {
      const plan = planOf(session)
      const events = kept(log)
      for (const atMs of instants) {
        const until = events.filter((event) => event.atMs <= atMs)
        const state = fold(plan, until, atMs)
        if (state.stoppedMs === null) continue
        const counted = breathNow(plan, state) ?? movementNow(plan, state)
        expect(['full', 'empty', 'retention']).not.toContain(counted?.part)
        if (atMs < state.stoppedMs + 180_000) expect(breathNow(plan, state)).toBeUndefined()
        expect(soundsDue(plan, state).filter(({ key }) => key.startsWith('stroke'))).toEqual([])
      }
    }),
  )
})

/** How long a part of a counted breath is by its pattern, to the millisecond that its boundary falls on. */
function plannedMs(plan: LeadPlan, state: LeadState, { counts, startMs, endMs }: BreathNow): number {
  const segment = plan.segments[state.index]
  const doing = segment?.doing
  const pace =
    doing?.kind === 'breath' && doing.part === 'counted' ? doing.pace : plan.over[segment?.blockId ?? '']?.pace
  const exactMs = (counts * (pace?.num ?? NaN)) / (pace?.den ?? NaN)
  return Math.abs(endMs - startMs - exactMs) < 1 ? endMs - startMs : exactMs
}

test('nothing is lost or conducted twice unasked: without a word of the teacher all is led once, in order', () => {
  const quiet = logs.map((log) =>
    log.filter(({ type }) => ['tick', 'pause', 'resume', 'stay', 'mark', 'bell'].includes(type)),
  )
  fc.assert(
    fc.property(sessionsByClock(5), quiet, (session, log) => {
      const plan = planOf(session)
      const last: LeadEvent = { type: 'resume', atMs: (log.at(-1)?.atMs ?? 0) + 1000 }
      const state = fold(plan, [...kept(log), last], 12 * 3_600_000)
      expect(state.phase).toBe('ended')
      const led = state.visits.flatMap(({ segment }) => (segment === null ? [] : [segment]))
      const missing = plan.segments.filter(({ index, lengthMs }) => lengthMs > 0 && !led.includes(index))
      expect(missing).toEqual([])
      // Only the parts of a counted round that was broken off are begun again.
      const twice = led.filter((segment, index) => led.indexOf(segment) !== index)
      const uncounted = twice.filter(
        (segment) => !['breath', 'movement'].includes(plan.segments[segment]?.doing.kind ?? ''),
      )
      expect(uncounted).toEqual([])
    }),
  )
})

test('the state is the fold of the log, absences and all: ticks in between change nothing', () => {
  fc.assert(
    fc.property(led, fc.integer({ min: 100, max: 20_000 }), ([session, log], everyMs) => {
      const plan = planOf(session)
      let live = beginLead(plan)
      for (const input of log) {
        // While the page is away nothing ticks.
        const untilMs = input.type === 'gap' ? 0 : input.atMs
        for (let atMs = live.nowMs + everyMs; atMs < untilMs; atMs += everyMs)
          live = step(plan, live, { type: 'tick', atMs })[0]
        live = step(plan, live, input)[0]
      }
      const endMs = (log.at(-1)?.atMs ?? 0) + 1000
      const [ended] = step(plan, live, { type: 'tick', atMs: endMs })
      const folded = fold(plan, kept(log), endMs)
      expect([folded.visits, folded.index, folded.pause, folded.lengths]).toEqual([
        ended.visits,
        ended.index,
        ended.pause,
        ended.lengths,
      ])
    }),
  )
})
