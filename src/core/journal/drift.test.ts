import fc from 'fast-check'
import type { ClassDrift } from '#model/class-drift'
import type { HoldBlock } from '#model/block'
import type { LeadEvent } from '#core/lead'
import { applyEdit } from '#core/session'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { aLedClass } from '#testing/led-classes'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { classDrift, lastTaught, meantAndDone, mendOf, visitsOf, whatDrifts } from './index.ts'

const around = { setUpS: 20, settleS: 10, comingOutS: 10, betweenSidesS: 0, afterRestS: 0 }
const session = aSession([
  aTalk('talk', 60),
  aHold('knees-to-chest', { times: around, hold: { holdS: 60 }, setUpItems: [] }),
  aHold('deer', { times: around, hold: { holdS: 120 }, setUpItems: [] }),
  aClosing({ finalRestS: 300 }),
])
const plan = aLedClass(session).plan
/** When a part begins as it is planned, ms. */
function startOf(kind: string, blockId: string, side?: string): number {
  const at = plan.segments.findIndex(
    (one) => one.blockId === blockId && one.doing.kind === kind && (side === undefined || one.side === side),
  )
  return plan.segments.slice(0, at).reduce((sum, { lengthMs }) => sum + lengthMs, 0)
}
const drifted = (log: readonly LeadEvent[] = [], more: Parameters<typeof aLedClass>[2] = {}): ClassDrift => {
  const drift = classDrift(aLedClass(session, log, more))
  if (!drift) throw new Error('nothing to tell')
  return drift
}
const day = (n: number) => ({ startedAt: `2026-03-0${String(n)}T18:00:00.000Z` })
const row = ({ of }: ClassDrift, blockId: string, part: string, side?: string) =>
  of.find((one) => one.blockId === blockId && one.part === part && one.side === side)

describe('one class', () => {
  test('led as planned drifts nowhere', () => {
    const drift = drifted()
    expect(drift.of.filter(({ plannedS, tookS }) => plannedS !== tookS)).toEqual([])
    expect(drift.late.map(({ lateS }) => lateS)).toEqual([0, 0, 0, 0])
    expect(drift.ledS).toBe(plan.totalMs / 1000)
    expect(drift.things).toEqual(['knees-to-chest', 'deer'])
    expect(row(drift, 'deer', 'hold', 'left')).toMatchObject({ poseId: 'deer', plannedS: 120, tookS: 120 })
    // Settling is still setting up.
    expect(row(drift, 'knees-to-chest', 'setUp')).toMatchObject({ plannedS: 30 })
  })

  test('a talk that runs over makes all after it late', () => {
    const drift = drifted([
      { type: 'pause', atMs: 30_000 },
      { type: 'resume', atMs: 105_000 },
    ])
    expect(row(drift, 'talk', 'talk')).toMatchObject({ plannedS: 60, tookS: 135 })
    expect(drift.late.map(({ blockId, lateS }) => [blockId, lateS])).toEqual([
      ['talk', 0],
      ['knees-to-chest', 75],
      ['deer', 75],
      ['closing', 75],
    ])
  })

  test('what was left out is no drift', () => {
    const atMs = startOf('hold', 'knees-to-chest') + 1000
    const lengths = plan.segments
      .filter(({ blockId }) => blockId === 'deer')
      .map(({ index }) => ({ segment: index, ms: 0 }))
    const drift = drifted([{ type: 'refit', way: 'leaveOut', lengths, leaves: ['deer'], atMs }])
    expect(drift.of.filter(({ blockId, tookS }) => blockId === 'deer' && tookS > 0)).toEqual([])
    expect(drift.things).toEqual(['knees-to-chest'])
    expect(whatDrifts([drift]).parts.find(({ part }) => part === 'hold')).toMatchObject({ plannedS: 60, tookS: 60 })
  })

  test('a class that was left, or has not ended, tells nothing', () => {
    expect(classDrift(aLedClass(session, [], { left: true }))).toBeUndefined()
    expect(classDrift({ ...aLedClass(session), endedAt: null })).toBeUndefined()
  })

  test('quiet is holds, rests and the closing without what is said in them', () => {
    const withCues = (cues: HoldBlock['cues']) => {
      const one = aSession([aHold('deer', { times: around, hold: { holdS: 120 }, setUpItems: [], cues })])
      return classDrift(aLedClass(one))
    }
    const silent = withCues([])
    const spoken = withCues([{ id: 'c', at: { fromStartS: 30 }, text: 'word '.repeat(11).trim() }])
    // Eleven words on each side, at 110 a minute.
    expect((silent?.quietS ?? 0) - (spoken?.quietS ?? 0)).toBe(12)
    expect(silent?.quietS).toBeLessThanOrEqual(240)
    expect(silent?.quietS).toBeGreaterThan(200)
  })

  const event = fc.record({
    type: fc.constantFrom('pause', 'resume', 'stay', 'end', 'settled', 'back') as fc.Arbitrary<'pause'>,
    atMs: fc.integer({ min: 0, max: 1_200_000 }),
  })
  test('its parts take what its journal says they took, whatever was pressed', () => {
    fc.assert(
      fc.property(fc.array(event, { maxLength: 12 }), (events) => {
        const log = events.toSorted((a, b) => a.atMs - b.atMs)
        const led = aLedClass(session, log)
        const { holds } = meantAndDone(led.plan, visitsOf(led))
        for (const { blockId, side, heldMs } of holds.filter(({ heldMs }) => heldMs > 0))
          expect(row(drifted(log), blockId, 'hold', side)?.tookS).toBe(Math.round(heldMs / 1000))
      }),
      { numRuns: 40 },
    )
  })
})

describe('over many classes', () => {
  const longerTalk: LeadEvent[] = [
    { type: 'pause', atMs: 30_000 },
    { type: 'resume', atMs: 105_000 },
  ]
  test('parts are added up, and what makes most of one stands first', () => {
    const drift = whatDrifts([drifted(longerTalk, day(1)), drifted([], day(2)), drifted(longerTalk, day(3))])
    expect(drift.parts.find(({ part }) => part === 'talk')).toMatchObject({
      ...{ plannedS: 180, tookS: 330 },
      most: [{ blockId: 'talk', classes: 3, plannedS: 60, tookS: 135, moreS: 75 }],
    })
    expect(drift).toMatchObject({ fellBehind: 2, behindAt: [{ blockId: 'knees-to-chest', classes: 2, atS: 60 }] })
    expect(drift.late[0]).toEqual({ atS: 0, lateS: 0 })
    expect(drift.late.at(-1)?.lateS).toBe(75)
  })

  test('sides are laid beside each other by pose', () => {
    const shorterRight = [{ type: 'end', atMs: startOf('hold', 'deer', 'right') + 90_000 }] as const
    const [deer] = whatDrifts([drifted(shorterRight, day(1)), drifted(shorterRight, day(2))]).sides
    expect(deer).toMatchObject({ poseId: 'deer', classes: 2, leftS: 120, rightS: 90, apartS: -30 })
  })

  test('a hold grows when it did in each of three classes or more', () => {
    const stayed = [{ type: 'stay', atMs: startOf('hold', 'knees-to-chest') + 30_000 }] as const
    const three = [1, 2, 3].map((n) => drifted(stayed, day(n)))
    expect(whatDrifts(three.slice(0, 2)).growing).toEqual([])
    expect(whatDrifts(three).growing).toMatchObject([{ blockId: 'knees-to-chest', plannedS: 60, tookS: 90, moreS: 30 }])
    expect(whatDrifts([...three, drifted([], day(4))]).growing).toEqual([])
  })

  test('quiet is a share of all that was led in the classes that tell it', () => {
    const [one, other] = [drifted([], day(1)), drifted(longerTalk, day(2))]
    const { quietS: _, ...unknown } = drifted([], day(3))
    const quietS = (one.quietS ?? 0) + (other.quietS ?? 0)
    expect(whatDrifts([one, other, unknown]).quiet).toBeCloseTo(quietS / (one.ledS + other.ledS))
    expect(whatDrifts([unknown]).quiet).toBeUndefined()
  })

  test('what was taught last is the newest class that led it', () => {
    const [first, second] = [drifted([], day(1)), drifted([], day(2))]
    const older = { ...first, things: ['deer', 'sphinx'], name: 'Another hour' }
    const taught = lastTaught([second, older]).map(({ thing, startedAt, name }) => [
      thing,
      startedAt.slice(8, 10),
      name,
    ])
    expect(taught).toEqual([
      ['knees-to-chest', '02', 'A session'],
      ['deer', '02', 'A session'],
      ['sphinx', '01', 'Another hour'],
    ])
  })

  test('of no class there is nothing to say', () => {
    expect(whatDrifts([])).toMatchObject({
      classes: 0,
      parts: [],
      sides: [],
      growing: [],
      late: [],
      fellBehind: 0,
      behindAt: [],
    })
  })
})

describe('one step mends the plan', () => {
  const mended = (blockId: string, part: 'talk' | 'change' | 'hold' | 'setUp', tookS: number, of = session) =>
    mendOf(of, { blockId, part, tookS }, shippedCatalog)
  test('talk and changes are planned as they were led, in steps of 5 s', () => {
    const talk = mended('talk', 'talk', 133)
    expect(talk?.plannedS).toBe(135)
    expect(talk && orThrow(applyEdit(session, talk.edit)).session.blocks[0]).toMatchObject({ s: 135 })
    const change = mended('deer', 'change', 71)
    expect(change && orThrow(applyEdit(session, change.edit)).session.blocks[2]).toMatchObject({
      times: { ...around, changeS: 70 },
    })
  })

  test('a hold in steps one can say, never past its first ceiling', () => {
    expect(mended('knees-to-chest', 'hold', 92)?.plannedS).toBe(90)
    expect(mended('deer', 'hold', 1500)).toBeUndefined()
    const apart = aSession([aHold('deer', { hold: { leftS: 120, rightS: 150 } })])
    expect(mended('deer', 'hold', 90, apart)).toBeUndefined()
  })

  test('nothing where nothing would change, or the block is gone', () => {
    expect(mended('talk', 'talk', 61)).toBeUndefined()
    expect(mended('gone', 'talk', 90)).toBeUndefined()
    expect(mended('deer', 'setUp', 90)).toBeUndefined()
  })
})
