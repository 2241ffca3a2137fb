import type { LeadEvent } from '#core/lead'
import { aLedClass } from '#testing/led-classes'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { momentWords } from '#words/in-time'
import { leftOut, momentsOf } from './index.ts'

const session = aSession([aTalk('talk', 60), aHold('deer'), aHold('sphinx')])
const { plan } = aLedClass(session)
const names: Record<string, string> = { talk: 'Arrive', deer: 'Deer', sphinx: 'Sphinx' }
const told = (log: readonly LeadEvent[]) =>
  momentsOf(aLedClass(session, log)).map((moment) => [
    moment.atMs,
    moment.blockId,
    momentWords(moment, (id) => names[id] ?? ''),
  ])

test('marks, pauses and what was re-fitted stand at their times, with the block they fell in', () => {
  const lengths = plan.segments
    .filter(({ blockId }) => blockId === 'sphinx')
    .map(({ index }) => ({ segment: index, ms: 0 }))
  const log: LeadEvent[] = [
    { type: 'pause', atMs: 20_000 },
    { type: 'resume', atMs: 65_000 },
    { type: 'settled', atMs: 140_000 },
    { type: 'mark', atMs: 150_000 },
    { type: 'refit', way: 'leaveOut', lengths, leaves: ['sphinx'], atMs: 200_000 },
  ]
  expect(told(log)).toEqual([
    [20_000, 'talk', 'Paused for 0:45'],
    [150_000, 'deer', 'Marked'],
    [200_000, 'deer', 'Re-fitted: poses left out (Sphinx)'],
  ])
  expect(leftOut(aLedClass(session, log))).toEqual(['sphinx'])
})

test('what was marked by those who looked on stands between, by whom and in their words', () => {
  const marked = { by: 'b', name: 'Tablet', text: 'Cold feet' }
  const led = {
    ...aLedClass(session, [{ type: 'mark', atMs: 150_000 }]),
    marks: [
      { ...marked, id: 'one', atMs: 30_000 },
      { ...marked, id: 'two', atMs: 160_000, text: '' },
    ],
  }
  expect(momentsOf(led).map((moment) => [moment.blockId, moment.what, momentWords(moment, () => '')])).toEqual([
    ['talk', { type: 'observed', by: 'Tablet', text: 'Cold feet' }, 'Cold feet'],
    ['deer', { type: 'mark' }, 'Marked'],
    ['deer', { type: 'observed', by: 'Tablet', text: '' }, 'Marked'],
  ])
})

test('a pause nobody ended lasts as long as the class', () => {
  const led = { ...aLedClass(session, [{ type: 'pause', atMs: 20_000 }]), conductedMs: 50_000 }
  expect(momentsOf(led)[0]?.what).toEqual({ type: 'pause', forMs: 30_000 })
})

test('in a class nobody ended nothing that is still to come is left out', () => {
  const leaves: LeadEvent = {
    ...{ type: 'refit', way: 'leaveOut', leaves: ['deer'], atMs: 10_000 },
    lengths: plan.segments.filter(({ blockId }) => blockId === 'deer').map(({ index }) => ({ segment: index, ms: 0 })),
  }
  const unended = (log: readonly LeadEvent[], conductedMs: number) =>
    leftOut({ ...aLedClass(session, log), visits: null, endedAt: null, conductedMs })
  expect(unended([], 20_000)).toEqual([])
  expect(unended([leaves], 20_000)).toEqual([])
  // Once what comes after it is led, it was.
  expect(unended([leaves], 600_000)).toEqual(['deer'])
})

test('a class led as planned has nothing to tell', () => {
  expect(told([])).toEqual([])
  expect(leftOut(aLedClass(session))).toEqual([])
})
