import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aHold, aSession } from '#testing/sessions'
import { blockName } from '#words/blocks'
import { sectionName } from '#words/sections'
import {
  beginClass,
  behindFrom,
  behindMs,
  ledEnd,
  ledStart,
  lookAtClass,
  missBells,
  peopleHere,
  promisedMs,
  promiseEnd,
  stageOf,
  startedLate,
  takeUpClass,
  tellClass,
  toEndMs,
} from './index.ts'
import type { Command, Conducted, Reading } from './index.ts'

const times = { changeS: 0, setUpS: 0, settleS: 0, comingOutS: 10, betweenSidesS: 0, secondSetUpS: 0, afterRestS: 0 }
const session = aSession([aHold('deer', { hold: { holdS: 60 }, times, cues: [] })])
const zeroMs = Date.UTC(2026, 2, 12, 18)
const start = ledStart(session, orThrow(compileTimeline(session, shippedCatalog)), {
  id: 'led',
  people: 4,
  startedAtMs: zeroMs,
  promisedEndMs: zeroMs + 140_000,
  nameOf: blockName,
  sectionNameOf: sectionName,
})
const at = (seconds: number, wallS = seconds): Reading => ({
  epochMs: zeroMs + wallS * 1000,
  steadyMs: seconds * 1000,
  wasAway: false,
})
const begun = beginClass(start, at(0), 'window-1')
const told = (from: Conducted, ...commands: (readonly [number, Command])[]) =>
  commands.reduce((now, [atS, command]) => tellClass(now, command, at(atS))[0], from)
const kept = ({ events }: Conducted) => events.map(({ n, by, event }) => [n, by, event.type, event.atMs / 1000])

test('events are numbered and carry the device; what only passes time is not kept', () => {
  const now = told(begun, [10, 'stay'], [12, 'mark'])
  expect(kept(lookAtClass(now, at(20))[0])).toEqual([
    [1, 'window-1', 'stay', 10],
    [2, 'window-1', 'mark', 12],
  ])
})

test('who comes late is counted with those at Start, and changes nothing else', () => {
  const now = told(begun, [10, 'cameLate'], [12, 'cameLate'])
  expect(peopleHere(now)).toBe(begun.start.people + 2)
  expect(now.state).toMatchObject({ index: begun.state.index, lengths: begun.state.lengths, pause: null })
})

test('what changes nothing is not kept: the same key twice, or matching where nothing was capped', () => {
  expect(kept(told(begun, [10, 'stay'], [10.2, 'stay']))).toHaveLength(1)
  expect(kept(told(begun, [10, 'resume']))).toEqual([])
})

test('after a long absence nothing acts but the answers and leaving', () => {
  const asking = told(lookAtClass(begun, at(20))[0], [21, 'mark'])
  const [away] = takeUpClass(start, asking.events, 21_000, at(1, 400), 'window-1')
  expect(stageOf(start.plan, away.state)).toMatchObject({ is: 'asking', sinceMs: 21_000, awayMs: 379_000 })
  const tried = (['pause', 'end', 'stay', 'back', 'freely', 'stopCard', 'mark', 'bell'] as const).reduce(
    (now, command, index) => tellClass(now, command, at(2 + index, 401 + index))[0],
    away,
  )
  expect(kept(tried)).toEqual(kept(away))
  expect(tried.state.visits).toEqual(away.state.visits)
  const [answered] = tellClass(tried, 'stoppedThen', at(12, 411))
  expect(answered.state).toMatchObject({ phase: 'ended', left: true, nowMs: 21_000 })
})

test('a class whose machine’s clock is set is neither stopped nor behind, and keeps it', () => {
  const [set] = lookAtClass(lookAtClass(begun, at(20))[0], at(20.5, 320.5))
  expect(kept(set)).toEqual([[1, 'window-1', 'anchor', 20.5]])
  const [later] = lookAtClass(set, at(30, 330))
  const stage = stageOf(start.plan, later.state)
  expect(stage).toMatchObject({ is: 'holding', leftMs: 30_000 })
  expect(behindMs(later, 'endsAtMs' in stage ? stage.endsAtMs : NaN)).toBe(0)
})

test('a reload comes back to the state that was, by the log alone', () => {
  const now = told(begun, [10, 'stay'], [50, 'mark'])
  const [again] = takeUpClass(start, now.events, 50_000, at(1, 53), 'window-2')
  expect(again.state.visits).toEqual(now.state.visits)
  expect(stageOf(start.plan, again.state)).toMatchObject({ is: 'holding', leftMs: 37_000 })
  expect(kept(again).at(-1)).toEqual([3, 'window-2', 'gap', 53])
})

test('bells that fall due while sound is held back are counted once', () => {
  const [now] = lookAtClass(begun, at(65))
  const [noted, bells] = missBells(begun, now)
  expect([bells, kept(noted).at(-1)]).toEqual([2, [1, 'window-1', 'missed', 65]])
  expect(missBells(now, now)[1]).toBe(0)
})

test('the end keeps what was conducted, and a note only where there is one', () => {
  const [over] = lookAtClass(begun, at(500))
  expect(ledEnd(over, ' ', {})).toEqual({
    endedAt: new Date(zeroMs + 140_000).toISOString(),
    left: false,
    visits: over.state.visits,
  })
  expect(ledEnd(over, 'Four came', { was: 'easy' })).toMatchObject({ note: 'Four came', breath: { was: 'easy' } })
})

test('the last End of a class is taken back within ten seconds, and not later', () => {
  const [coming] = lookAtClass(begun, at(132))
  const over = told(coming, [133, 'end'])
  expect(over.state.phase).toBe('ended')
  expect(told(over, [140, 'back']).state).toMatchObject({ phase: 'ended' })
  expect(told(over, [136, 'back']).state).toMatchObject({ phase: 'running' })
  expect(told(over, [144, 'back']).state.phase).toBe('ended')
})

test('a start more than a minute late is asked about until it is answered, and the answer is the promised end', () => {
  const from = (lateS: number) =>
    beginClass({ ...start, startsAt: new Date(zeroMs - lateS * 1000).toISOString() }, at(0), 'window-1')
  expect(startedLate(begun)).toBeUndefined()
  expect(startedLate(from(60))).toBeUndefined()
  expect(startedLate(from(61))).toBe(61_000)
  const [answered] = promiseEnd(from(240), 380_000, at(20))
  expect([startedLate(answered), promisedMs(answered), toEndMs(answered)]).toEqual([undefined, 380_000, 380_000])
  // A log of it leads to the same.
  const { events } = answered
  expect(promisedMs(takeUpClass(answered.start, events, 20_000, at(30), 'window-2')[0])).toBe(380_000)
  expect(behindMs(answered, 390_000)).toBe(10_000)
})

test('behind is told from two minutes or three in a hundred, from what was set, or never', () => {
  const plan = { plan: { ...start.plan, totalMs: 5_400_000 } }
  expect([behindFrom(start), behindFrom(plan), behindFrom(plan, 300), behindFrom(plan, 0)]).toEqual([
    ...[120_000, 162_000, 300_000, Infinity],
  ])
})
