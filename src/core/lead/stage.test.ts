import { ledStartSchema } from '#model/led-class'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { blockName } from '#words/blocks'
import { sectionName } from '#words/sections'
import { breathLine, fold, leadPlan, ledStart, stageOf } from './index.ts'
import type { LeadEvent } from './index.ts'

const planOf = (session: Session, ceilingMs: Record<string, number> = {}) =>
  leadPlan(orThrow(compileTimeline(session, shippedCatalog)), ceilingMs)
const times = { changeS: 0, setUpS: 10, settleS: 0, comingOutS: 10, betweenSidesS: 0, secondSetUpS: 0, afterRestS: 20 }
/** Talk 0–30; sphinx: change none, set-up 30–40, hold 40–100, out 100–110, after-rest 110–130; closing. */
const plan = planOf(
  aSession([
    aTalk('talk', 30),
    aHold('sphinx', { hold: { holdS: 60 }, times }),
    aClosing({ finalRestS: 60, times: { changeS: 10 } }),
  ]),
  { sphinx: 60_000 },
)
const at = (seconds: number, log: LeadEvent[] = []) => {
  const stage = stageOf(plan, fold(plan, log, seconds * 1000))
  if (stage.is === 'ended') throw new Error('the class is over')
  return stage
}

test('what comes next is the next thing to say, with its length', () => {
  const next = (seconds: number) => {
    const { next: part } = at(seconds)
    return part && [part.segment.doing.kind, part.lengthMs / 1000]
  }
  expect([next(0), next(30), next(40), next(100), next(110)]).toEqual([
    ['setUp', 10],
    ['hold', 60],
    ['comingOut', 10],
    ['afterRest', 20],
    ['change', 10],
  ])
})

test('the next cue is told with the time until it comes', () => {
  expect(at(45)).toMatchObject({ nextCue: { text: 'Let the shoulders sink a little', inMs: 40_000 } })
  expect(at(71)).toMatchObject({ nextCue: { inMs: 14_000 } })
})

test('the end moves with what is done', () => {
  const plannedMs = plan.totalMs
  expect(at(50).endsAtMs).toBe(plannedMs)
  expect(at(50, [{ type: 'stay', atMs: 45_000 }]).endsAtMs).toBe(plannedMs + 30_000)
  expect(at(60, [{ type: 'end', atMs: 50_000 }]).endsAtMs).toBe(plannedMs - 50_000)
  expect(at(60, [{ type: 'pause', atMs: 50_000 }]).endsAtMs).toBe(plannedMs + 10_000)
})

test('in a long pause it is said how far the shape is past its ceiling', () => {
  expect(at(110, [{ type: 'pause', atMs: 50_000 }])).toMatchObject({
    heldMs: 70_000,
    pastCeilingMs: 10_000,
    pausedForMs: 60_000,
  })
})

test('a symmetric hold has no other side', () => {
  expect(at(50)).toMatchObject({ other: undefined, segment: { side: 'both' } })
})

test('the breath line is drawn without a gap around now, inhale up and exhale down', () => {
  const breath = planOf(aSession([aBreath('even-breath')]))
  const stretches = breathLine(breath, fold(breath, [], 20_000), 0, 40_000)
  expect(stretches.map(({ startMs, endMs, from, to }) => [startMs / 1000, endMs / 1000, from, to]).slice(0, 3)).toEqual(
    [
      [0, 4, 0, 1],
      [4, 8, 1, 0],
      [8, 12, 0, 1],
    ],
  )
  expect(stretches.slice(1).every(({ startMs }, index) => startMs === stretches[index]?.endMs)).toBe(true)
  expect(stretches.at(-1)?.endMs).toBe(40_000)
})

test('natural breath after a broken round is drawn level', () => {
  const breath = planOf(aSession([aBreath('even-breath')]))
  const state = fold(breath, [{ type: 'freely', atMs: 10_000 }], 20_000)
  expect(breathLine(breath, state, 10_000, 30_000)).toEqual([{ startMs: 10_000, endMs: 240_000, from: 0.3, to: 0.3 }])
})

test('a record begins with its own copy of what is led, as its schema wants it', () => {
  const session = aSession([aHold('deer', { hold: { holdS: 60 } })])
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const start = ledStart(session, timeline, {
    id: 'led',
    people: 9,
    startedAtMs: 0,
    promisedEndMs: 3_600_000,
    nameOf: blockName,
    sectionNameOf: sectionName,
  })
  expect(start).toMatchObject({ startedAt: '1970-01-01T00:00:00.000Z', people: 9, document: session })
  expect(start.blocks['deer']).toEqual({
    name: 'Deer',
    sides: { left: 'left knee in front, right knee behind', right: 'right knee in front, left knee behind' },
  })
  expect(start.plan.capMs).toEqual({ deer: 240_000 })
  expect(ledStartSchema.parse(JSON.parse(JSON.stringify(start)))).toEqual(start)
})
