import fc from 'fast-check'
import { orThrow } from '#core/result'
import { fold, leadPlan } from '#core/lead'
import type { Command, LeadEvent, LeadPlan } from '#core/lead'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { someRounds } from '#testing/breath-documents'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { breathDone, meantAndDone } from './index.ts'

const told = (plan: LeadPlan, log: readonly LeadEvent[], endMs: number) =>
  meantAndDone(plan, fold(plan, log, endMs).visits)

const times = { changeS: 0, setUpS: 10, settleS: 0, comingOutS: 10, betweenSidesS: 0, secondSetUpS: 0, afterRestS: 0 }
const plan = leadPlan(
  orThrow(
    compileTimeline(aSession([aTalk('talk', 30), aHold('deer', { hold: { holdS: 60 }, times })]), shippedCatalog),
  ),
  {},
)

test('a class led as planned did what it meant', () => {
  const { holds, others, plannedMs, ledMs } = told(plan, [], 9_000_000)
  expect(holds).toEqual([
    { blockId: 'deer', side: 'left', plannedMs: 60_000, heldMs: 60_000, attempts: 0 },
    { blockId: 'deer', side: 'right', plannedMs: 60_000, heldMs: 60_000, attempts: 0 },
  ])
  expect(others.map(({ kind, tookMs }) => [kind, tookMs])).toEqual([
    ['talk', 30_000],
    ['setUp', 10_000],
    ['comingOut', 20_000],
  ])
  expect([plannedMs, ledMs]).toEqual([180_000, 180_000])
})

test('an attempt that was begun again is a time of its own, not held', () => {
  const { holds, others } = told(plan, [{ type: 'back', atMs: 60_000 }], 9_000_000)
  expect(holds[0]).toEqual({ blockId: 'deer', side: 'left', plannedMs: 60_000, heldMs: 60_000, attempts: 1 })
  expect(others.at(-1)).toEqual({ kind: 'begun again', plannedMs: 0, tookMs: 20_000 })
})

test('a class that was left holds what was done', () => {
  const { holds, ledMs } = told(plan, [{ type: 'leave', atMs: 70_000 }], 9_000_000)
  expect(holds.map(({ heldMs }) => heldMs)).toEqual([30_000, 0])
  expect(ledMs).toBe(70_000)
})

test('all that was led is told: holds and other times add up to the class', () => {
  const log = fc
    .array(
      fc.record({
        type: fc.constantFrom('stay', 'end', 'back', 'pause', 'resume', 'freely') as fc.Arbitrary<Command>,
        afterMs: fc.nat(120_000),
      }),
      { maxLength: 12 },
    )
    .map((drafts) => {
      let atMs = 0
      return drafts.map(({ type, afterMs }) => ({ type, atMs: (atMs += afterMs) }))
    })
  fc.assert(
    fc.property(sessions(4), log, (session, events) => {
      const made = leadPlan(orThrow(compileTimeline(session, shippedCatalog)), {})
      const { holds, others, ledMs } = told(made, events, 4 * 3_600_000)
      const sum =
        holds.reduce((sum, { heldMs }) => sum + heldMs, 0) + others.reduce((sum, { tookMs }) => sum + tookMs, 0)
      expect(sum).toBe(ledMs)
    }),
  )
})

test('a block that stood as natural breath after a stop sign says so', () => {
  const block = (id: string) => ({ kind: 'breath' as const, id, sections: [someRounds({ id })] })
  const breath = leadPlan(
    orThrow(compileTimeline(aSession([block('first'), aTalk('talk', 60), block('second')]), shippedCatalog)),
    {},
  )
  const done = (log: readonly LeadEvent[]) => breathDone(breath, fold(breath, log, 9_000_000).visits, log)
  expect(done([]).map(({ freed }) => freed)).toEqual([undefined, undefined])
  const stop: LeadEvent = { type: 'stopCard', atMs: 20_000 }
  expect(done([stop]).map(({ freed }) => freed)).toEqual([
    { atMs: 20_000, by: 'stopCard' },
    { atMs: 20_000, by: 'stopBefore' },
  ])
  const again: LeadEvent = { type: 'countAgain', atMs: 210_000 }
  expect(done([stop, again])[1]).toMatchObject({ rounds: done([])[1]?.rounds })
  expect(done([stop, again])[1]?.freed).toBeUndefined()
})

test('a breath over a hold has a row, where the record tells of its rounds', () => {
  const over = leadPlan(
    orThrow(
      compileTimeline(
        aSession([aHold('deer', { hold: { holdS: 60 }, times, cues: [], breathOver: { techniqueId: 'long-exhale' } })]),
        shippedCatalog,
      ),
    ),
    {},
  )
  const { visits } = fold(over, [], 9_000_000)
  expect(breathDone(over, visits, [])).toEqual([{ blockId: 'deer', plannedRounds: 12, rounds: 12, longestHeldMs: 0 }])
  const log: LeadEvent[] = [{ type: 'freely', atMs: 40_000 }]
  expect(breathDone(over, fold(over, log, 9_000_000).visits, log)).toEqual([
    { blockId: 'deer', plannedRounds: 12, rounds: 3, longestHeldMs: 0, freed: { atMs: 40_000, by: 'freely' } },
  ])
  const older = visits.map(({ rounds: _, ...visit }) => visit)
  expect(breathDone(over, older, [])).toEqual([])
})
