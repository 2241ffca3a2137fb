import type { Block } from '#model/block'
import type { Section } from '#model/section'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aRetention, someRounds } from '#testing/breath-documents'
import { inCounts, second } from '#testing/breath'
import { aSession } from '#testing/sessions'
import { beginLead, breathLine, breathNow, fold, leadPlan, soundsDue, stageOf } from './index.ts'

const planOf = (...sections: Section[]) =>
  leadPlan(orThrow(compileTimeline(aSession([{ kind: 'breath', id: 'b', sections }]), shippedCatalog)), {})
/** When it ticks from the start of the class on, s; bells left out. */
const ticks = (...sections: Section[]): number[] => {
  const plan = planOf(...sections)
  return soundsDue(plan, beginLead(plan)).flatMap(({ key, atMs }) =>
    /^(turn|stroke|count)/.test(key) ? [atMs / 1000] : [],
  )
}
const even = someRounds({ pattern: inCounts(4, 0, 4, 0), pace: second, leadInS: 0, wayOutS: 0 })
const all: NonNullable<Extract<Section, { kind: 'retention' }>['locks']> = {
  on: ['chin', 'belly', 'root'],
  off: ['root', 'belly', 'chin'],
}

test('a held breath is one run: it ticks where the breath turns, not where a lock is taken', () => {
  const held = aRetention({ half: 20, locks: all, leadInS: 0, lead: { in: 8, out: 8 } })
  expect(ticks(held)).toEqual([0, 4, 8])
  const plan = planOf(held)
  const now = (seconds: number) => breathNow(plan, fold(plan, [], seconds * 1000))
  expect(now(8)).toMatchObject({ part: 'empty', count: 1, counts: 10, lock: { lock: 'chin', does: 'on' } })
  expect(now(12)).toMatchObject({ part: 'empty', count: 5, counts: 10 })
  expect(now(12)?.lock).toBeUndefined()
  expect(now(17.5)).toMatchObject({ count: 10, lock: { lock: 'chin', does: 'off' } })
})

test('each stroke has its tick, and belly strokes theirs in the still counts', () => {
  const strokes: Section = {
    kind: 'strokes',
    id: 's',
    techniqueId: 'short-exhales',
    pace: second,
    strokes: 4,
    rounds: 2,
    naturalAfterS: 10,
  }
  expect(ticks(strokes)).toEqual([0, 1, 2, 3, 14, 15, 16, 17])
  const belly = aRetention({ half: 20, leadInS: 0, lead: { in: 8, out: 8 }, strokes: { n: 3, pace: second } })
  expect(ticks(belly)).toEqual([0, 4, 8, 8, 9, 10])
})

test('rounds that are not counted aloud sound as was chosen', () => {
  const two = { ...even, amount: { sets: 1, roundsPerSet: 2 }, countedRounds: 1 }
  expect(ticks(two)).toEqual([0, 4, 8, 12])
  expect(ticks({ ...two, silent: 'none' })).toEqual([0, 4])
  expect(ticks({ ...two, silent: 'counts' })).toEqual([0, 4, 8, 9, 10, 11, 12, 13, 14, 15])
})

test('a breath in steps is led in whole ticks, and its line rises step by step', () => {
  const plan = planOf({ ...even, pattern: inCounts(4, 0, 4, 0), steps: { in: 3, pauseHalf: 1 } })
  const doing = plan.segments.find((segment) => segment.doing.kind === 'breath')?.doing
  expect(doing).toMatchObject({
    over: 3,
    parts: [
      { part: 'in', ticks: 8, step: 1 },
      { part: 'pause', ticks: 3 },
      { part: 'in', ticks: 8, step: 2 },
      { part: 'pause', ticks: 3 },
      { part: 'in', ticks: 8, step: 3 },
      { part: 'out', ticks: 24 },
    ],
  })
  const line = breathLine(plan, beginLead(plan), 0, 9000)
  expect(line.slice(0, 6).map(({ from, to }) => [from, to])).toEqual([
    [0, 1 / 3],
    [1 / 3, 1 / 3],
    [1 / 3, 2 / 3],
    [2 / 3, 2 / 3],
    [2 / 3, 1],
    [1, 0],
  ])
})

test('counting begins anew with each section, and goes on over the sets of one', () => {
  const odd = { num: 1001, den: 2 }
  const plan = planOf({ ...even, pace: odd, amount: { sets: 2, roundsPerSet: 3 }, restS: 0 }, { ...even, id: 'again' })
  const from = plan.segments.flatMap(({ doing }) =>
    doing.kind === 'breath' && doing.part === 'counted' ? [[doing.section, doing.set, doing.from]] : [],
  )
  expect(from).toEqual([
    [0, 1, 0],
    [0, 2, 48],
    [1, 1, 0],
  ])
})

test('what is said where nothing is counted stays in sight, in a talk too', () => {
  const blocks: Block[] = [
    { kind: 'talk', id: 't', title: 'Arrive', text: 'Welcome', s: 60 },
    { kind: 'breath', id: 'b', sections: [{ kind: 'natural', id: 'n', s: 120, attend: 'The breath at the nose' }] },
  ]
  const session = { ...aSession(blocks), before: ['Has anybody eaten?', 'Is the nose clear?'] }
  const plan = leadPlan(orThrow(compileTimeline(session, shippedCatalog)), {})
  const says = (seconds: number) => {
    const stage = stageOf(plan, fold(plan, [], seconds * 1000))
    return stage.is === 'between' || stage.is === 'breathing' ? stage.says : 'neither'
  }
  expect([5, 25, 45].map(says)).toEqual([undefined, 'Has anybody eaten?', 'Is the nose clear?'])
  expect(says(100)).toBe('The breath at the nose')
})
