import fc from 'fast-check'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { leadPlan } from './lead-plan.ts'
import { soundsByClock } from './sounds-by-clock.ts'

test('a class nobody leads sounds every bell of its plan at its instant, also where a hold would wait for the teacher', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const timeline = orThrow(
        compileTimeline({ ...session, answers: { ...session.answers, holdBegins: 'whenISay' } }, shippedCatalog),
      )
      const due = soundsByClock(leadPlan(timeline, {}))
      const bells = timeline.cues.filter(
        ({ sound, segment }) =>
          sound && (timeline.segments[segment]?.endMs ?? 0) > (timeline.segments[segment]?.startMs ?? 0),
      )
      for (const { atMs, sound } of bells) expect(due).toContainEqual(expect.objectContaining({ atMs, sound }))
      expect(due.map(({ atMs }) => atMs)).toEqual(due.map(({ atMs }) => atMs).toSorted((a, b) => a - b))
      for (const { atMs } of due) expect(atMs).toBeLessThanOrEqual(timeline.totalMs)
    }),
    { numRuns: 40 },
  )
})
