import type { HoldBlock } from '#model/block'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aHold, aSession, aTalk } from '#testing/sessions'
import { breathNow, fold, leadPlan, movementNow, soundsDue, stageOf } from './index.ts'
import type { Command, LeadEvent, LeadPlan, LeadState } from './index.ts'

const planOf = (session: Session, ceilingMs: Record<string, number> = {}): LeadPlan =>
  leadPlan(orThrow(compileTimeline(session, shippedCatalog)), ceilingMs)
const plain = { changeS: 0, setUpS: 0, settleS: 0, comingOutS: 10, betweenSidesS: 0, secondSetUpS: 0, afterRestS: 0 }
const events = (...written: (readonly [number, Command])[]): LeadEvent[] =>
  written.map(([atS, type]) => ({ type, atMs: atS * 1000 }))
const gap = (seenS: number, atS: number): LeadEvent => ({ type: 'gap', seenMs: seenS * 1000, atMs: atS * 1000 })
const at = (plan: LeadPlan, seconds: number, log: readonly LeadEvent[] = []): LeadState =>
  fold(plan, log, seconds * 1000)
const heldS = (plan: LeadPlan, { visits }: LeadState, side: 'left' | 'right'): number =>
  visits
    .filter(({ segment, again }) => !again && plan.segments[segment ?? -1]?.doing.kind === 'hold')
    .filter(({ segment }) => plan.segments[segment ?? -1]?.side === side)
    .reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0) / 1000

/** Left 0–60, out to 70, right 70–130, out to 140; its ceiling lets a side follow up to two minutes. */
const deer = planOf(aSession([aHold('deer', { hold: { holdS: 60 }, times: plain, cues: [] })]), { deer: 120_000 })

describe('a second side', () => {
  test.each([
    ['begun anew in its first side’s time', events([20, 'pause'], [35, 'resume'], [100, 'back']), 75],
    ['of a first side that ended early, gone back to', events([40, 'end'], [70, 'back']), 40],
    [
      'begun anew after a pause of its own',
      events([20, 'pause'], [35, 'resume'], [95, 'pause'], [99, 'resume'], [120, 'back']),
      75,
    ],
  ])('%s matches that real time again', (_, log, seconds) => {
    expect(heldS(deer, at(deer, 900, log), 'right')).toBe(seconds)
  })

  test('has its match in the projected end while the first still runs', () => {
    const now = at(deer, 90, events([20, 'pause'], [80, 'resume']))
    expect(stageOf(deer, now)).toMatchObject({ endsAtMs: 260_000, other: { is: 'will match', ms: 120_000 } })
    expect(at(deer, 900, events([20, 'pause'], [80, 'resume'])).nowMs).toBe(260_000)
  })

  test('that would stop at its cap says so while the first still runs', () => {
    const now = at(deer, 149, events([20, 'pause'], [110, 'resume']))
    expect(stageOf(deer, now)).toMatchObject({ other: { ms: 120_000, cappedFromMs: 150_000 } })
  })

  test('that became shorter does not ring what would have come later, and never three bells at once', () => {
    const wood = (id: string, fromStartS: number) =>
      ({ id, at: { fromStartS }, sound: { kind: 'wood', strokes: 1 } }) as const
    const cues: HoldBlock['cues'] = [wood('two', 120), wood('three', 180)]
    const plan = planOf(aSession([aHold('deer', { hold: { holdS: 240 }, times: plain, cues })]))
    const log = events([100, 'end'])
    const ringing = soundsDue(plan, at(plan, 105, log)).filter(({ sound }) => sound.kind === 'wood')
    expect(ringing).toEqual([])
    expect(heldS(plan, at(plan, 900, log), 'right')).toBe(100)
  })
})

describe('breathe freely in a movement', () => {
  const plan = planOf(
    aSession([{ kind: 'movement', id: 'raise', movementId: 'leg-raise-lying', rounds: 4 }, aTalk('after', 30)]),
  )
  const whole = plan.segments
    .filter(({ blockId }) => blockId === 'raise')
    .reduce((sum, { lengthMs }) => sum + lengthMs, 0)

  test('goes to the end of the block, over both sides', () => {
    const state = at(plan, 60, events([55, 'freely']))
    expect(movementNow(plan, state)).toBeUndefined()
    expect(stageOf(plan, state)).toMatchObject({ leftMs: whole - 60_000, next: { segment: { blockId: 'after' } } })
  })

  test('acts on the second side as on the first', () => {
    const second = plan.segments.find(({ side, doing }) => side === 'right' && doing.kind === 'movement')
    const startS = plan.segments.slice(0, second?.index).reduce((sum, { lengthMs }) => sum + lengthMs, 0) / 1000
    const state = at(plan, startS + 6, events([startS + 5, 'stopCard']))
    expect(movementNow(plan, state)).toBeUndefined()
    expect(at(plan, 900, events([startS + 5, 'freely'])).nowMs).toBe(plan.totalMs)
  })
})

describe('a breath over a hold comes back at an inhale', () => {
  const over = (details: Partial<HoldBlock>, pattern: { in: number; full: number; out: number; empty: number }) =>
    planOf(
      aSession([
        aHold('sphinx', { times: plain, cues: [], breathOver: { techniqueId: 'long-exhale', pattern }, ...details }),
      ]),
    )
  const phases: HoldBlock['phases'] = [
    { id: 'one', name: 'Arrive', length: { s: 25 } },
    { id: 'two', name: 'Stay', length: { rest: true } },
  ]
  const twoPhases = over({ hold: { holdS: 120 }, phases }, { in: 8, full: 8, out: 12, empty: 4 })

  test('after a pause, in any phase', () => {
    const log = events([20, 'pause'], [50, 'resume'])
    expect(breathNow(twoPhases, at(twoPhases, 79.9, log))).toBeUndefined()
    expect(breathNow(twoPhases, at(twoPhases, 80, log))).toMatchObject({ part: 'in', round: 1, count: 1 })
  })

  test('after an absence, in a later phase', () => {
    const log = [gap(38, 39)]
    expect(breathNow(twoPhases, at(twoPhases, 39.5, log))).toBeUndefined()
    expect(breathNow(twoPhases, at(twoPhases, 48, log))).toMatchObject({ part: 'in', round: 4 })
  })

  test('after Stay at the end of the last round', () => {
    const plan = over({ hold: { holdS: 65 } }, { in: 8, full: 8, out: 8, empty: 0 })
    const log = events([64.5, 'stay'])
    expect(breathNow(plan, at(plan, 64.6, log))).toBeUndefined()
    expect(breathNow(plan, at(plan, 72, log))).toMatchObject({ part: 'in', round: 7 })
  })

  test('after Back, from the hold’s own start', () => {
    const plan = over({ hold: { holdS: 300 } }, { in: 8, full: 32, out: 32, empty: 0 })
    const log = [gap(39, 40), ...events([45, 'back'])]
    expect(breathNow(plan, at(plan, 45, log))).toMatchObject({ part: 'in', round: 1, count: 1 })
    expect(breathNow(plan, at(plan, 72, log))).toMatchObject({ part: 'out', round: 1 })
  })

  test('and its ticks are due in a later phase as at the start', () => {
    const ticks = (seconds: number) =>
      soundsDue(twoPhases, at(twoPhases, seconds)).filter(({ key }) => key.startsWith('over'))
    expect(ticks(26).map(({ atMs }) => atMs)).toEqual(
      ticks(0)
        .map(({ atMs }) => atMs)
        .filter((atMs) => atMs >= 26_000),
    )
    expect(ticks(26).length).toBeGreaterThan(0)
  })
})

describe('an absence', () => {
  const long = planOf(aSession([aHold('sphinx', { hold: { holdS: 600 }, times: plain, cues: [] })]))

  test('short, after minutes without a press, is no long one to the log', () => {
    const state = at(long, 400, [gap(300, 303)])
    expect(state.pause).toBeNull()
    expect(stageOf(long, state)).toMatchObject({ is: 'holding', leftMs: 200_000 })
  })

  test('told twice asks only for the second, where that was long', () => {
    const state = at(long, 500, [gap(100, 102), gap(300, 480)])
    expect(stageOf(long, state)).toMatchObject({ is: 'asking', sinceMs: 300_000, awayMs: 200_000 })
  })
})

test('a bell that falls into a pause moves on by the pause; one past it stays where it is', () => {
  const bell = (id: string, fromStartS: number) =>
    ({ id, at: { fromStartS }, sound: { kind: 'wood', strokes: 1 } }) as const
  const plan = planOf(
    aSession([aHold('sphinx', { hold: { holdS: 240 }, times: plain, cues: [bell('in', 120), bell('past', 200)] })]),
  )
  const rings = (log: LeadEvent[], atS: number) =>
    soundsDue(plan, at(plan, atS, log))
      .filter(({ sound }) => sound.kind === 'wood')
      .map(({ atMs }) => atMs / 1000)
  expect(rings([], 0)).toEqual([120, 200])
  expect(rings(events([100, 'pause'], [160, 'resume']), 160)).toEqual([180, 200])
})

describe('one press', () => {
  test('goes by the key, whatever it means: Space twice at once is a pause', () => {
    expect(at(deer, 20, events([10, 'pause'], [10.2, 'resume'])).pause).not.toBeNull()
    expect(at(deer, 20, events([10, 'pause'], [10.5, 'resume'])).pause).toBeNull()
  })

  test('of → is one: they come out, and the coming out is not skipped', () => {
    const state = at(deer, 31, events([20, 'pause'], [30, 'theyComeOut'], [30.2, 'end']))
    expect(deer.segments[state.index]?.doing.kind).toBe('comingOut')
  })

  test('is not made two by what the machine itself tells in between', () => {
    const missed: LeadEvent = { type: 'missed', bells: 1, atMs: 10_100 }
    const log = [...events([10, 'stay']), missed, ...events([10.3, 'stay'])]
    expect(stageOf(deer, at(deer, 20, log))).toMatchObject({ leftMs: 70_000 })
  })
})

describe('End taken back', () => {
  const talks = planOf(aSession([aTalk('one', 30), aTalk('two', 60), aTalk('three', 60)]))
  const index = (log: LeadEvent[], atS: number) => at(talks, atS, log).index

  test('two Ends are undone by two Backs', () => {
    const log = events([5, 'end'], [8, 'end'])
    expect(index(log, 9)).toBe(2)
    expect(index([...log, ...events([10, 'back'])], 11)).toBe(1)
    expect(index([...log, ...events([10, 'back'], [11, 'back'])], 12)).toBe(0)
  })

  test('they come out is undone too: the pause goes on', () => {
    const log = events([20, 'pause'], [30, 'theyComeOut'], [33, 'back'])
    expect(stageOf(deer, at(deer, 40, log))).toMatchObject({ is: 'paused', pausedForMs: 20_000 })
  })
})

describe('counted breath by its sections', () => {
  const plan = planOf(
    aSession([
      aBreath('even-breath', {
        naturalBeforeS: 20,
        naturalAfterS: 40,
        restBetweenSetsS: 15,
        pattern: { in: 8, full: 0, out: 8, empty: 0 },
        amount: { sets: 2, roundsPerSet: 5 },
      }),
      aTalk('after', 30),
    ]),
  )
  const part = (seconds: number, log: LeadEvent[]) => {
    const { doing } = plan.segments[at(plan, seconds, log).index] ?? {}
    return doing?.kind === 'breath' ? `${doing.part} ${String(doing.set)}` : doing?.kind
  }

  test('stands in the plan by its round, pace and rounds, a segment a set', () => {
    expect(
      plan.segments.map(({ doing, lengthMs }) => ['part' in doing ? doing.part : doing.kind, lengthMs / 1000]),
    ).toEqual([
      ['natural', 20],
      ['counted', 40],
      ['rest', 15],
      ['counted', 40],
      ['natural', 0],
      ['natural', 40],
      ['natural', 0],
      ['talk', 30],
    ])
  })

  test.each([
    ['natural breath', 10, 'counted 1'],
    ['counted rounds', 30, 'natural 0'],
    ['the rest between sets', 65, 'counted 2'],
    ['natural breath after it', 120, 'talk'],
  ])('End in %s goes on to what follows it', (_, seconds, next) => {
    expect(part(seconds + 1, events([seconds, 'end']))).toBe(next)
  })

  test('Back goes to the start of the section, in its first ten seconds to the one before', () => {
    expect(part(96, events([95, 'back']))).toBe('counted 1')
    expect(part(26, events([25, 'back']))).toBe('natural 0')
  })

  test('Stay adds natural breath at the section’s end, never a round', () => {
    const state = at(plan, 900, events([30, 'stay']))
    expect(state.visits.find(({ segment }) => segment === 4)).toMatchObject({ startMs: 115_000, endMs: 145_000 })
    expect(state.nowMs).toBe(plan.totalMs + 30_000)
  })
})

test('past the first ceiling is said in a pause, also where the plan is longer', () => {
  const plan = planOf(aSession([aHold('deer', { hold: { holdS: 300 }, times: plain, cues: [] })]), { deer: 240_000 })
  expect(stageOf(plan, at(plan, 260, events([250, 'pause'])))).toMatchObject({ pastCeilingMs: 20_000 })
})
