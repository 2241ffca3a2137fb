import type { Section } from '#model/section'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aRetention, someRounds } from '#testing/breath-documents'
import { inCounts, second } from '#testing/breath'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { breathNow, fold, leadPlan, mayCountAgain, soundsDue, stageOf } from './index.ts'
import type { Command, LeadEvent } from './index.ts'

const even = (id: string, details = {}) =>
  someRounds({ id, pattern: inCounts(4, 0, 4, 0), pace: second, leadInS: 6, wayOutS: 0, ...details })
const natural = (id: string, s: number): Section => ({ kind: 'natural', id, s })
const breathing = (id: string, ...sections: Section[]) => ({ kind: 'breath' as const, id, sections })

/**
 * Even breath 0:00–0:54, natural to 2:24, a held breath announced in it, then a talk of ten minutes, then a second block
 * of even breath 4 : 4 and of 4 : 2 : 4, and a breath over a hold.
 */
const plan = leadPlan(
  orThrow(
    compileTimeline(
      aSession([
        breathing('first', even('a'), natural('n', 90), aRetention({ half: 20, leadInS: 6, naturalAfterS: 30 })),
        aTalk('talk', 600),
        breathing('second', even('b'), natural('m', 60), even('c', { pattern: inCounts(4, 2, 4, 0) })),
        aHold('sphinx', {
          cues: [],
          breathOver: { techniqueId: 'long-exhale', pattern: inCounts(4, 0, 6, 0), pace: second },
        }),
      ]),
      shippedCatalog,
    ),
  ),
  {},
)
const startS = (blockId: string, nth = 0): number => {
  const index = plan.segments.filter((segment) => segment.blockId === blockId)[nth]?.index ?? 0
  return plan.segments.slice(0, index).reduce((sum, { lengthMs }) => sum + lengthMs, 0) / 1000
}
const events = (...written: (readonly [number, Command])[]): LeadEvent[] =>
  written.map(([atS, type]) => ({ type, atMs: atS * 1000 }))
const at = (seconds: number, log: LeadEvent[] = []) => fold(plan, log, seconds * 1000)
const said = (seconds: number, log: LeadEvent[]) => {
  const stage = stageOf(plan, at(seconds, log))
  return stage.is === 'breathing' ? stage.says : undefined
}
/** A stop sign in the talk, so that nothing but what is counted later changes. */
const seen = events([startS('talk') + 10, 'stopCard'])
const counted = (seconds: number, log: LeadEvent[]) => breathNow(plan, at(seconds, log))

test('a stop sign soon after breath work stops what is counted later, of the same length, until it is counted again', () => {
  const inSecond = startS('second') + 20
  expect(counted(inSecond, [])).toMatchObject({ part: 'out' })
  expect(counted(inSecond, seen)).toBeUndefined()
  expect(stageOf(plan, at(inSecond, seen))).toMatchObject({ is: 'breathing', leftMs: 34_000 })
  expect(at(9000, seen).nowMs).toBe(plan.totalMs)
  const again = [...seen, ...events([startS('talk') + 300, 'countAgain'])]
  expect(counted(inSecond, again)).toMatchObject({ part: 'out' })
})

test('counting comes back after three minutes, and not before', () => {
  const sinceS = startS('talk') + 10
  expect(mayCountAgain(at(sinceS + 179, seen), (sinceS + 179) * 1000)).toBe(false)
  expect(mayCountAgain(at(sinceS + 180, seen), (sinceS + 180) * 1000)).toBe(true)
  const early = [...seen, ...events([sinceS + 179, 'countAgain'])]
  expect(counted(startS('second') + 20, early)).toBeUndefined()
})

test('what holds the breath is not put back, what is counted over a hold is', () => {
  const held = startS('second') + 54 + 60 + 10
  expect(counted(held, [])).toMatchObject({ part: 'full' })
  const again = [...seen, ...events([startS('talk') + 300, 'countAgain'])]
  expect(counted(held, again)).toBeUndefined()
  const inHold = startS('sphinx', 2) + 41
  expect(counted(inHold, seen)).toBeUndefined()
  expect(counted(inHold, again)).toMatchObject({ part: 'out' })
  expect(soundsDue(plan, at(startS('talk') + 20, seen)).filter(({ key }) => /^(turn|over|stroke)/.test(key))).toEqual(
    [],
  )
})

test('in the middle of a section counting comes back with a whole round, after its lead-in', () => {
  const inSecond = startS('second') + 20
  const log = [...seen, ...events([inSecond, 'countAgain'])]
  expect(counted(inSecond + 1, log)).toBeUndefined()
  const back = startS('second') + 6 + 16
  expect(stageOf(plan, at(back - 1, log))).toMatchObject({ leadIn: 'out' })
  expect(counted(back, log)).toMatchObject({ part: 'in', count: 1 })
})

test('what is not led is not announced either', () => {
  const announced = startS('first', 3) + 90 - 5
  expect(said(announced, [])).toContain('Then hold empty for 10 counts')
  expect(said(announced, events([20, 'stopCard']))).toBeUndefined()
  const before = startS('second') + 54 + 60 - 5
  expect(said(before, [])).toContain('hold full 2')
  expect(said(before, seen)).toBe('Natural breath')
})

test('natural breath lasts for three minutes, past the block if need be, and neither Back nor End brings counts before', () => {
  const inHeld = startS('first', 3) + 90 + 6 + 10
  expect(counted(inHeld, [])).toMatchObject({ part: 'empty' })
  const log = events([inHeld, 'stopCard'])
  expect(stageOf(plan, at(inHeld + 179, log))).toMatchObject({ is: 'breathing', breath: undefined, leftMs: 1000 })
  for (const type of ['back', 'end'] as const)
    for (let s = inHeld; s < inHeld + 180; s += 7)
      expect(counted(s, [...log, ...events([inHeld + 3, type])])).toBeUndefined()
})

test('Back within ten seconds of End does not undo a stop sign', () => {
  const log = events([20, 'end'], [22, 'stopCard'], [25, 'back'])
  for (let s = 25; s < 200; s += 3) expect(counted(s, log)).toBeUndefined()
})

describe('Back in breath work', () => {
  test('begins a held breath again from its announcement', () => {
    const inHeld = startS('first', 3) + 90 + 6 + 10
    const log = events([inHeld, 'back'])
    expect(said(inHeld + 1, log)).toContain('Then hold empty for 10 counts, or less: breathe whenever you wish')
    expect(counted(inHeld + 30, log)).toBeUndefined()
    expect(said(inHeld + 31, log)).toContain('Breathe out')
    expect(counted(inHeld + 36, log)).toMatchObject({ part: 'in', round: 1 })
  })

  test('goes to the section before in the first ten seconds of a section', () => {
    const log = events([startS('first', 3) + 5, 'back'])
    expect(at(startS('first', 3) + 6, log).index).toBe(plan.segments.find(({ blockId }) => blockId === 'first')?.index)
  })

  test('has a lead-in also where the section was planned without one', () => {
    const bare = leadPlan(
      orThrow(compileTimeline(aSession([breathing('b', even('a', { leadInS: 0 }))]), shippedCatalog)),
      {},
    )
    const back = fold(bare, events([20, 'back']), 21_000)
    expect(stageOf(bare, back)).toMatchObject({ is: 'breathing', leadIn: 'out', breath: undefined })
    expect(breathNow(bare, fold(bare, events([20, 'back']), 26_000))).toMatchObject({ part: 'in', round: 1 })
  })
})

test('the record knows how many whole rounds were done and the longest held breath', () => {
  const inHeld = startS('first', 3) + 90 + 6 + 10
  const { visits } = at(inHeld + 30, events([inHeld, 'stopCard']))
  const first = plan.segments.find(({ doing }) => doing.kind === 'breath' && doing.part === 'counted')?.index
  expect(visits.find(({ segment }) => segment === first)).toMatchObject({ rounds: 6 })
  expect(visits.find(({ longestHeldMs }) => longestHeldMs !== undefined)).toMatchObject({
    rounds: 0,
    longestHeldMs: 2000,
  })
})

test('words in a counted breath go with the part they are said in', () => {
  const nostrils = leadPlan(
    orThrow(
      compileTimeline(
        aSession([
          breathing('n', {
            kind: 'rounds',
            id: 'n',
            techniqueId: 'nostrils-in-turn',
            pattern: inCounts(4, 0, 4, 0),
            pace: second,
            amount: { sets: 1, roundsPerSet: 3 },
            countedRounds: 1,
            leadInS: 6,
          }),
        ]),
        shippedCatalog,
      ),
    ),
    {},
  )
  const says = (seconds: number) => {
    const stage = stageOf(nostrils, fold(nostrils, [], seconds * 1000))
    return stage.is === 'breathing' ? stage.says : 'no breath'
  }
  expect([17, 21, 25, 29].map(says)).toEqual([
    'in left · thumb closes right',
    'out right · ring finger closes left',
    'in right · ring finger closes left',
    'out left · thumb closes right',
  ])
  // The second round is not counted aloud, and nothing of the first is said any more.
  expect(says(33)).toBeUndefined()
})
