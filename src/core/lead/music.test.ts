import fc from 'fast-check'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessionsByClock } from '#testing/arbitraries'
import { aClosing, aHold, aSession } from '#testing/sessions'
import { fold, leadPlan, musicFadeMs, musicSpan } from './index.ts'
import type { LeadEvent } from './index.ts'

const planOf = (session: ReturnType<typeof aSession>) => leadPlan(orThrow(compileTimeline(session, shippedCatalog)), {})
const restOf = (plan: ReturnType<typeof planOf>): number => {
  const at = plan.segments.findIndex(({ doing }) => doing.kind === 'closing' && doing.step === 'finalRest')
  return plan.segments.slice(0, at).reduce((sum, { lengthMs }) => sum + lengthMs, 0)
}

describe('music in a class', () => {
  const plan = planOf(aSession([aHold('sphinx'), aHold('deer'), aClosing()]))

  test('is gone when the last rest begins, quieter over the half minute before it', () => {
    const toMs = restOf(plan)
    expect(toMs).toBeGreaterThan(60_000)
    expect(musicSpan(plan, fold(plan, [], 0))).toEqual({ fadeMs: toMs - musicFadeMs, toMs })
  })

  test('follows what is stayed, and is gone with a rest that begins earlier', () => {
    const stay: LeadEvent[] = [{ type: 'stay', atMs: 100_000 }]
    expect(musicSpan(plan, fold(plan, stay, 100_000)).toMs).toBe(restOf(plan) + 30_000)
    const inRest = fold(plan, [], restOf(plan) + 1000)
    expect(musicSpan(plan, inRest).toMs).toBeLessThanOrEqual(inRest.nowMs)
    const over = fold(plan, [{ type: 'leave', atMs: 50_000 }], 50_000)
    expect(musicSpan(plan, over)).toEqual({ fadeMs: 0, toMs: 0 })
  })

  test('goes with a class that ends without a rest', () => {
    const short = planOf(aSession([aHold('sphinx')]))
    const kinds = short.segments.map(({ doing }) => doing.kind)
    expect(kinds).not.toContain('closing')
    expect(musicSpan(short, fold(short, [], 0)).toMs).toBe(short.totalMs)
  })

  test('never plays into the rest that ends a class, wherever it is', () => {
    fc.assert(
      fc.property(sessionsByClock(), fc.double({ min: 0, max: 1, noNaN: true }), (session, share) => {
        const made = planOf(session)
        const atMs = Math.round(made.totalMs * share)
        const { fadeMs, toMs } = musicSpan(made, fold(made, [], atMs))
        expect(fadeMs).toBeLessThanOrEqual(Math.max(0, toMs))
        expect(toMs).toBeLessThanOrEqual(made.totalMs)
        if (
          made.segments.some(({ doing }) => doing.kind === 'closing' && doing.step === 'finalRest') &&
          atMs < restOf(made)
        )
          expect(toMs).toBeLessThanOrEqual(restOf(made))
      }),
      { numRuns: 60 },
    )
  })
})
