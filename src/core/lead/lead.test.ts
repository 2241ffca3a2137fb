import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { bellsBetween, breathNow, fold, leadPlan, soundsDue, stageOf, step } from './index.ts'
import type { Command, LeadEvent, LeadPlan, LeadState } from './index.ts'

const planOf = (session: Session, ceilingMs: Record<string, number> = {}): LeadPlan =>
  leadPlan(orThrow(compileTimeline(session, shippedCatalog)), ceilingMs)

const plain = { changeS: 0, setUpS: 0, settleS: 0, comingOutS: 10, betweenSidesS: 0, secondSetUpS: 0, afterRestS: 0 }
/** Deer alone, 60 s a side, 10 s coming out of each: left 0–60, out 60–70, right 70–130, out 130–140. */
const deer = planOf(aSession([aHold('deer', { hold: { holdS: 60 }, times: plain, cues: [] })]))
/** Five rounds of in 4, full 2, out 4 at a second a count: 10 s a round. */
const breath = planOf(
  aSession([
    aBreath('even-breath', {
      pattern: { in: 8, full: 4, out: 8, empty: 0 },
      amount: { sets: 1, roundsPerSet: 5 },
    }),
    aTalk('after', 30),
  ]),
)

/** Events written as `at type`, in seconds. */
const events = (...written: (readonly [number, Command])[]): LeadEvent[] =>
  written.map(([atS, type]) => ({ type, atMs: atS * 1000 }))
/** A short absence: a reload that saw the class until a moment before. */
const gapAt = (atS: number): LeadEvent => ({ type: 'gap', seenMs: atS * 1000 - 100, atMs: atS * 1000 })
const at = (plan: LeadPlan, seconds: number, log: LeadEvent[] = []): LeadState => fold(plan, log, seconds * 1000)
const doing = (plan: LeadPlan, state: LeadState): string => {
  const segment = plan.segments[state.index]
  return state.natural ? 'natural' : segment ? `${segment.doing.kind} ${String(segment.side)}` : 'over'
}
const held = (plan: LeadPlan, state: LeadState, side: 'left' | 'right') =>
  state.visits
    .filter((visit) => {
      const segment = plan.segments[visit.segment ?? -1]
      return segment?.doing.kind === 'hold' && segment.side === side && !visit.again
    })
    .reduce((sum, visit) => sum + visit.endMs - visit.startMs, 0) / 1000

test('left alone, a class runs as planned, however rarely it is looked at', () => {
  const state = at(deer, 1000)
  expect(state.phase).toBe('ended')
  expect(state.visits.map(({ segment, startMs, endMs }) => [segment, startMs / 1000, endMs / 1000])).toEqual([
    [0, 0, 60],
    [1, 60, 70],
    [2, 70, 130],
    [3, 130, 140],
  ])
  expect(state.nowMs).toBe(140_000)
})

test('staying on the first side lengthens both, on the second only that one', () => {
  expect(stageOf(deer, at(deer, 20, events([10, 'stay'])))).toMatchObject({
    leftMs: 70_000,
    other: { ms: 90_000, moreMs: 30_000 },
  })
  const both = at(deer, 500, events([10, 'stay']))
  expect([held(deer, both, 'left'), held(deer, both, 'right')]).toEqual([90, 90])
  const second = at(deer, 500, events([80, 'stay']))
  expect([held(deer, second, 'left'), held(deer, second, 'right')]).toEqual([60, 90])
  expect(stageOf(deer, at(deer, 81, events([80, 'stay'])))).toMatchObject({ other: { is: 'was', ms: 60_000 } })
})

test('a first side that ended early is matched by the second', () => {
  const log = events([40, 'end'])
  expect(doing(deer, at(deer, 41, log))).toBe('comingOut left')
  const state = at(deer, 500, log)
  expect([held(deer, state, 'left'), held(deer, state, 'right')]).toEqual([40, 40])
})

test('in a pause they stay: the time in the shape runs on, the bells wait, the second side matches it', () => {
  const log = events([20, 'pause'], [35, 'resume'])
  const paused = at(deer, 30, log.slice(0, 1))
  expect(stageOf(deer, paused)).toMatchObject({ pausedForMs: 10_000, heldMs: 30_000, leftMs: 40_000 })
  expect(soundsDue(deer, paused)).toEqual([])
  const capped = planOf(aSession([aHold('deer', { hold: { holdS: 60 }, times: plain, cues: [] })]), { deer: 120_000 })
  const state = at(capped, 500, log)
  expect([held(capped, state, 'left'), held(capped, state, 'right')]).toEqual([75, 75])
})

test('in a pause they come out: the hold ends now with the time they stayed', () => {
  const log = events([20, 'pause'], [35, 'theyComeOut'])
  expect(doing(deer, at(deer, 36, log))).toBe('comingOut left')
  expect(held(deer, at(deer, 500, log), 'right')).toBe(35)
})

test('the second side stops at its cap and says so, and matches when asked', () => {
  const log = events([20, 'pause'], [50, 'resume'])
  const onSecond = at(deer, 110, log)
  expect(doing(deer, onSecond)).toBe('hold right')
  expect(stageOf(deer, onSecond)).toMatchObject({ other: { cappedFromMs: 90_000 } })
  expect(held(deer, at(deer, 900, log), 'right')).toBe(60)
  const matched = at(deer, 900, [...log, ...events([120, 'match'])])
  expect(held(deer, matched, 'right')).toBe(90)
})

test('sides that were planned apart keep their difference', () => {
  const apart = planOf(aSession([aHold('deer', { hold: { leftS: 60, rightS: 40 }, times: plain })]))
  const state = at(apart, 900, events([10, 'stay']))
  expect([held(apart, state, 'left'), held(apart, state, 'right')]).toEqual([90, 70])
})

test('back within 10 s of ending a hold: it never happened', () => {
  const state = at(deer, 50, events([40, 'end'], [45, 'back']))
  expect(doing(deer, state)).toBe('hold left')
  expect(stageOf(deer, state)).toMatchObject({ leftMs: 10_000 })
  expect(held(deer, at(deer, 900, events([40, 'end'], [45, 'back'])), 'left')).toBe(60)
})

test('undoing the end of a breath takes nobody up inside a retention', () => {
  const log = events([12, 'end'], [15, 'back'])
  expect(breathNow(breath, at(breath, 15.5, log))).toBeUndefined()
  expect(breathNow(breath, at(breath, 20, log))).toMatchObject({ part: 'in', round: 3 })
})

test('back later begins this hold again and keeps the attempt; in its first 10 s the one before', () => {
  const again = at(deer, 31, events([30, 'back']))
  expect(stageOf(deer, again)).toMatchObject({ leftMs: 59_000 })
  expect(again.visits).toEqual([{ segment: 0, blockId: 'deer', startMs: 0, endMs: 30_000, again: true }])
  const before = at(deer, 76, events([75, 'back']))
  expect(doing(deer, before)).toBe('comingOut left')
})

test('the same key within 400 ms is one press', () => {
  const twice = [
    { type: 'stay' as const, atMs: 10_000 },
    { type: 'stay' as const, atMs: 10_399 },
  ]
  expect(stageOf(deer, fold(deer, twice, 11_000))).toMatchObject({ leftMs: 79_000 })
  const apart = [
    { type: 'stay' as const, atMs: 10_000 },
    { type: 'stay' as const, atMs: 10_400 },
  ]
  expect(stageOf(deer, fold(deer, apart, 11_000))).toMatchObject({ leftMs: 109_000 })
})

test('pausing counted breath is natural breath at once; then 30 s of it, and a whole round from its inhale', () => {
  const log = events([15, 'pause'], [25, 'resume'])
  expect(breathNow(breath, at(breath, 14.9))).toMatchObject({ part: 'full', round: 2 })
  expect(breathNow(breath, at(breath, 15, log.slice(0, 1)))).toBeUndefined()
  expect(doing(breath, at(breath, 54.9, log))).toBe('natural')
  expect(breathNow(breath, at(breath, 55, log))).toMatchObject({ part: 'in', round: 2, count: 1, rounds: 5 })
  expect(at(breath, 900, log).nowMs).toBe((15 + 10 + 30 + 40 + 30) * 1000)
})

test('counts are kept within a part, and "one" is a count too', () => {
  expect([0, 0.99, 1, 3.99].map((seconds) => breathNow(breath, at(breath, seconds))?.count)).toEqual([1, 1, 2, 4])
  expect(breathNow(breath, at(breath, 4))).toMatchObject({ part: 'full', count: 1, counts: 2 })
})

test('staying in counted breath adds natural breath at its end, never a round', () => {
  const state = at(breath, 51, events([15, 'stay']))
  expect(breathNow(breath, state)).toBeUndefined()
  expect(at(breath, 900, events([15, 'stay'])).nowMs).toBe(110_000)
})

test.each([
  ['freely', 50],
  ['stopCard', 195],
] as const)(
  'on %s counting stops at once, with natural breath to the end of the block, after a stop sign for three minutes',
  (type, untilS) => {
    const log = events([15, type])
    expect(breathNow(breath, at(breath, 15, log))).toBeUndefined()
    expect(doing(breath, at(breath, untilS - 1, log))).toBe('natural')
    expect(doing(breath, at(breath, untilS + 1, log))).toBe('talk null')
    expect(soundsDue(breath, at(breath, 16, log)).filter(({ key }) => key.startsWith('turn'))).toEqual([])
  },
)

test('natural breath to the end of a block is still that block, and ending it skips nothing else', () => {
  const log = events([15, 'freely'])
  const state = at(breath, 20, log)
  expect(stageOf(breath, state)).toMatchObject({
    leftMs: 30_000,
    segment: { blockId: 'breath' },
    next: { segment: { blockId: 'after' } },
  })
  expect(stageOf(breath, at(breath, 21, [...log, ...events([20, 'stay'])]))).toMatchObject({ leftMs: 59_000 })
  expect(doing(breath, at(breath, 21, [...log, ...events([20, 'end'])]))).toBe('talk null')
  const again = [...log, ...events([40, 'back'])]
  expect(doing(breath, at(breath, 41, again))).toBe('natural')
  expect(breathNow(breath, at(breath, 70, again))).toMatchObject({ part: 'in', round: 1 })
})

test('ending counted breath goes past all of it', () => {
  expect(doing(breath, at(breath, 16, events([15, 'end'])))).toBe('talk null')
})

test('after a reload the clock is right, and counting comes back at the next inhale', () => {
  const log = [gapAt(14)]
  expect(breathNow(breath, at(breath, 15, log))).toBeUndefined()
  expect(breathNow(breath, at(breath, 20, log))).toMatchObject({ part: 'in', round: 3 })
  expect(soundsDue(breath, at(breath, 15, log))[0]).toMatchObject({ atMs: 20_000 })
})

test('after a long gap it asks: went on without me, or stopped then', () => {
  const [asking] = step(deer, at(deer, 20), { type: 'gap', seenMs: 20_000, atMs: 110_000 })
  expect(asking.pause).toEqual({ sinceMs: 20_000, kind: 'asking' })
  const [wentOn] = step(deer, asking, { type: 'wentOn', atMs: 112_000 })
  expect(doing(deer, wentOn)).toBe('hold right')
  expect(stageOf(deer, wentOn)).toMatchObject({ leftMs: 18_000 })
  const [stopped] = step(deer, asking, { type: 'stoppedThen', atMs: 112_000 })
  expect(stopped).toMatchObject({ phase: 'ended', left: true, nowMs: 20_000 })
  expect(held(deer, stopped, 'left')).toBe(20)
})

test('leaving early keeps what was done', () => {
  const state = at(deer, 900, events([100, 'leave']))
  expect(state).toMatchObject({ phase: 'ended', left: true, nowMs: 100_000 })
  expect(held(deer, state, 'right')).toBe(30)
})

test('a breath over a hold begins anew with whole rounds after a pause', () => {
  const over = planOf(
    aSession([
      aHold('sphinx', { hold: { holdS: 120 }, times: plain, cues: [], breathOver: { techniqueId: 'long-exhale' } }),
    ]),
  )
  expect(breathNow(over, at(over, 12))).toMatchObject({ part: 'in', round: 2, rounds: 12 })
  const log = events([12, 'pause'], [20, 'resume'])
  expect(breathNow(over, at(over, 49, log))).toBeUndefined()
  expect(breathNow(over, at(over, 50, log))).toMatchObject({ part: 'in', round: 1, count: 1, rounds: 7 })
})

test('a bell that rang does not ring again unless its end moved by half a minute', () => {
  const bell = planOf(
    aSession([
      aHold('deer', {
        hold: { holdS: 60 },
        times: plain,
        cues: [{ id: 'last', at: { beforeEndS: 20 }, sound: { kind: 'wood', strokes: 1 } }],
      }),
    ]),
  )
  const lasts = (state: LeadState) =>
    soundsDue(bell, state)
      .filter(({ key }) => key === 'last@0')
      .map(({ atMs }) => atMs)
  expect(lasts(at(bell, 10))).toEqual([40_000])
  expect(lasts(at(bell, 45))).toEqual([])
  expect(lasts(at(bell, 46, events([45, 'stay'])))).toEqual([70_000])
})

test('bells that came due between two looks are counted, words without a sound are not', () => {
  // The bell to settle stands at 0, the one to come out at 60, where coming out begins.
  expect(bellsBetween(at(deer, 0), at(deer, 59))).toBe(1)
  expect(bellsBetween(at(deer, 0), at(deer, 61))).toBe(2)
  expect(bellsBetween(at(deer, 10), at(deer, 50))).toBe(0)
})

test('the closing is led step by step to its end', () => {
  const closing = planOf(aSession([aClosing({ finalRestS: 60, setUpItems: [] })]))
  expect(stageOf(closing, at(closing, 10))).toMatchObject({ leftMs: 50_000, next: { lengthMs: 30_000 } })
  expect(at(closing, 900).phase).toBe('ended')
})

test('the rounds of a breath over a hold that were done stand in the record, whatever broke in', () => {
  const over = planOf(
    aSession([
      aHold('sphinx', { hold: { holdS: 120 }, times: plain, cues: [], breathOver: { techniqueId: 'long-exhale' } }),
    ]),
  )
  const done = (...log: Parameters<typeof events>): number =>
    fold(over, events(...log), 1_000_000).visits.reduce((sum, { rounds = 0, again }) => sum + (again ? 0 : rounds), 0)
  // 120 s of ten-second rounds.
  expect(done()).toBe(12)
  expect(done([47, 'end'])).toBe(4)
  expect(done([35, 'freely'])).toBe(3)
  expect(done([35, 'stopCard'])).toBe(3)
  expect(done([35, 'pause'], [65, 'theyComeOut'])).toBe(3)
  // Three before the pause; after it 30 s of natural breath, then whole rounds to the end of the hold at 2:25.
  expect(done([35, 'pause'], [60, 'resume'])).toBe(3 + 5)
})
