import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { beginLead, fold, leadPlan, soundsDue, step } from './index.ts'
import type { LeadEvent, LeadEventType, LeadPlan } from './index.ts'

const planOf = (session: Session): LeadPlan => leadPlan(orThrow(compileTimeline(session, shippedCatalog)), {})

test('sounds asked for before the start are the bells of the timeline and a tick a turn', () => {
  fc.assert(
    fc.property(sessions(5), (session) => {
      const timeline = orThrow(compileTimeline(session, shippedCatalog))
      const plan = leadPlan(timeline, {})
      const due = soundsDue(plan, beginLead(plan))
      const bells = due.filter(({ key }) => !/^(turn|over)/.test(key))
      const planned = timeline.cues.filter(({ sound }) => sound !== undefined)
      expect(bells.map(({ atMs }) => atMs)).toEqual(planned.map(({ atMs }) => atMs))
      const turns = timeline.segments.filter(
        ({ doing: d }) => d.kind === 'breath' && d.part !== 'natural' && d.part !== 'rest',
      )
      expect(due.filter(({ key }) => key.startsWith('turn')).map(({ atMs }) => atMs)).toEqual(
        turns.map(({ startMs }) => startMs),
      )
    }),
  )
})

const asked: LeadEventType[] = [
  'tick',
  'pause',
  'resume',
  'theyComeOut',
  'stay',
  'end',
  'back',
  'match',
  'freely',
  'stopCard',
  'mark',
  'bell',
  'gap',
  'wentOn',
]
const logs = fc
  .array(fc.record({ type: fc.constantFrom(...asked), afterMs: fc.integer({ min: 0, max: 90_000 }) }), {
    maxLength: 25,
  })
  .map((drafts) => {
    let atMs = 0
    return drafts.map(({ type, afterMs }): LeadEvent => ({ type, atMs: (atMs += afterMs) }))
  })
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
    fc.property(led, ([session, log]) => {
      const plan = planOf(session)
      const state = fold(plan, log, 4 * 3_600_000)
      const wrong = state.visits.filter(({ segment, startMs, endMs }, index) => {
        const part = plan.segments[segment ?? -1]
        if (part?.doing.kind !== 'breath' || (part.doing.part !== 'full' && part.doing.part !== 'empty')) return false
        const before = state.visits[index - 1]
        return endMs - startMs > part.lengthMs || before?.segment !== part.index - 1
      })
      expect(wrong).toEqual([])
    }),
  )
})

test('nothing is lost or conducted twice unasked: without a word of the teacher all is led once, in order', () => {
  const quiet = logs.map((log) =>
    log.filter(({ type }) => ['tick', 'pause', 'resume', 'stay', 'mark', 'bell'].includes(type)),
  )
  fc.assert(
    fc.property(sessions(5), quiet, (session, log) => {
      const plan = planOf(session)
      const state = fold(plan, [...log, { type: 'resume', atMs: (log.at(-1)?.atMs ?? 0) + 1000 }], 12 * 3_600_000)
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

test('the state is the fold of the log: ticks in between change nothing', () => {
  fc.assert(
    fc.property(led, ([session, log]) => {
      const plan = planOf(session)
      const often = log.flatMap((event) => [{ type: 'tick' as const, atMs: Math.max(0, event.atMs - 137) }, event])
      const sorted = often.sort((a, b) => a.atMs - b.atMs)
      const plainLog = sorted.filter(({ type }) => type !== 'tick' && type !== 'gap')
      const ticked = sorted.filter(({ type }) => type !== 'gap')
      const endMs = (log.at(-1)?.atMs ?? 0) + 1000
      expect(JSON.stringify(fold(plan, ticked, endMs).visits)).toBe(JSON.stringify(fold(plan, plainLog, endMs).visits))
    }),
  )
})
