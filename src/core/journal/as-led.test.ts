import fc from 'fast-check'
import type { LeadEvent } from '#core/lead'
import type { Block } from '#model/block'
import type { Session } from '#model/session'
import { sessionSchema } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aLedClass } from '#testing/led-classes'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { asLed, classDrift, proposalsOf } from './index.ts'

const around = { setUpS: 20, settleS: 10, comingOutS: 10, betweenSidesS: 0, afterRestS: 0 }
const session = aSession([
  aTalk('talk', 60),
  aHold('knees-to-chest', { times: around, hold: { holdS: 60 }, setUpItems: [] }),
  aHold('deer', { times: around, hold: { holdS: 120 }, setUpItems: [] }),
  aClosing({ finalRestS: 300 }),
])
const { plan } = aLedClass(session)
function startOf(kind: string, blockId: string, side?: string): number {
  const at = plan.segments.findIndex(
    (one) => one.blockId === blockId && one.doing.kind === kind && (side === undefined || one.side === side),
  )
  return plan.segments.slice(0, at).reduce((sum, { lengthMs }) => sum + lengthMs, 0)
}
const after = (log: readonly LeadEvent[]): Session => {
  const was = asLed(aLedClass(session, log))
  if (!was) throw new Error('nothing to tell')
  return was
}
const block = (of: Session, id: string) => of.blocks.find((one) => one.id === id)

describe('as it was led', () => {
  test('a class led as planned is the session it was led from', () => {
    expect(after([])).toEqual(session)
  })

  test('talk, set-ups, holds and the final rest have the times they took', () => {
    const talk = after([
      { type: 'pause', atMs: 30_000 },
      { type: 'resume', atMs: 105_000 },
    ])
    expect(block(talk, 'talk')).toMatchObject({ s: 135 })
    const setUp = startOf('setUp', 'knees-to-chest')
    expect(block(after([{ type: 'end', atMs: setUp + 12_000 }]), 'knees-to-chest')).toMatchObject({
      times: { ...around, setUpS: 12 },
    })
    const shorter = after([{ type: 'end', atMs: startOf('hold', 'deer', 'right') + 90_000 }])
    expect(block(shorter, 'deer')).toMatchObject({ hold: { leftS: 120, rightS: 90, why: 'as it was led' } })
    const closing = after([{ type: 'end', atMs: startOf('closing', 'closing') + 200_000 }])
    expect(block(closing, 'closing')).toMatchObject({ finalRestS: 200 })
  })

  test('a first set-up that took long does not make the second longer than it was', () => {
    const at = startOf('setUp', 'deer', 'left')
    const long = after([
      { type: 'pause', atMs: at + 5000 },
      { type: 'resume', atMs: at + 605_000 },
    ])
    expect(block(long, 'deer')).toMatchObject({ times: { ...around, setUpS: 620, secondSetUpS: 10 } })
  })

  test('a rest in the middle has the times its rest and its coming up took', () => {
    const rest: Block = { kind: 'rest', id: 'rest', s: 300, basePosition: 'supine', ending: {} }
    const long = aSession([aTalk('talk', 60), rest])
    const plan = aLedClass(long).plan.segments
    const startOfRoll = plan.slice(0, -2).reduce((sum, { lengthMs }) => sum + lengthMs, 0)
    const was = asLed(aLedClass(long, [{ type: 'end', atMs: startOfRoll + 20_000 }]))
    expect(was && block(was, 'rest')).toEqual({ ...rest, ending: { rollS: 20 } })
  })

  test('what was left out is not in it', () => {
    const lengths = plan.segments
      .filter(({ blockId }) => blockId === 'deer')
      .map(({ index }) => ({ segment: index, ms: 0 }))
    const left = after([
      { type: 'refit', way: 'leaveOut', lengths, leaves: ['deer'], atMs: startOf('hold', 'knees-to-chest') },
    ])
    expect(left.blocks.map(({ id }) => id)).toEqual(['talk', 'knees-to-chest', 'closing'])
  })

  test('a hold with phases is not cut below them', () => {
    const phased = aSession([
      aHold('deer', {
        times: around,
        hold: { holdS: 120 },
        phases: [
          { id: 'p1', name: 'upright', length: { s: 60 } },
          { id: 'p2', name: 'folded', length: { rest: true } },
        ],
        setUpItems: [],
      }),
    ])
    const led = aLedClass(phased)
    const atMs = led.plan.segments
      .slice(
        0,
        led.plan.segments.findIndex(({ doing }) => doing.kind === 'hold'),
      )
      .reduce((sum, { lengthMs }) => sum + lengthMs, 0)
    expect(asLed(aLedClass(phased, [{ type: 'end', atMs: atMs + 10_000 }]))?.blocks[0]).toMatchObject({
      hold: { holdS: 120 },
    })
  })

  const event = fc.record({
    type: fc.constantFrom('pause', 'resume', 'stay', 'end', 'settled', 'match') as fc.Arbitrary<'pause'>,
    atMs: fc.integer({ min: 0, max: 1_200_000 }),
  })
  test('it is a session that lasts as long as the class did, whatever was pressed', () => {
    fc.assert(
      fc.property(fc.array(event, { maxLength: 12 }), (events) => {
        // Nobody pauses for good; so long after the last press that it is no second press of the same one.
        const log = [...events.toSorted((a, b) => a.atMs - b.atMs), { type: 'resume', atMs: 1_210_000 } as const]
        const led = aLedClass(session, log)
        const was = asLed(led)
        expect(sessionSchema.safeParse(was).success).toBe(true)
        const timeline = orThrow(compileTimeline(was ?? session, shippedCatalog))
        const lengths = led.plan.segments.length
        // Each stretch is rounded to a second, and none is shorter than a plan may have it.
        const shortest = led.visits?.filter(({ startMs, endMs }) => endMs - startMs < 5000).length ?? 0
        // What was ended in the moment it began has no visit, and stays as it was planned.
        const visits = led.visits ?? []
        const passedMs = led.plan.segments
          .filter(({ index, blockId }) => {
            const ofBlock = visits.filter((visit) => visit.blockId === blockId)
            return ofBlock.length > 0 && ofBlock.every(({ segment }) => segment !== index)
          })
          .reduce((sum, { lengthMs }) => sum + lengthMs, 0)
        expect(Math.abs(timeline.totalMs - led.conductedMs)).toBeLessThanOrEqual(
          lengths * 1000 + shortest * 5000 + passedMs,
        )
      }),
      { numRuns: 60 },
    )
  })
})

describe('what to change', () => {
  const drift = (log: readonly LeadEvent[]) => {
    const one = classDrift(aLedClass(session, log))
    return one ? [one] : []
  }
  const late: LeadEvent[] = [
    { type: 'pause', atMs: 30_000 },
    { type: 'resume', atMs: 105_000 },
  ]

  test('is nothing where the class was as planned, else the largest first and each an edit by itself', () => {
    expect(proposalsOf(session, drift([]), shippedCatalog)).toEqual([])
    const stay = { type: 'stay', atMs: startOf('hold', 'knees-to-chest') + 75_000 + 30_000 } as const
    expect(
      proposalsOf(session, drift([...late, stay]), shippedCatalog).map(({ drift: { blockId, part }, mend }) => [
        blockId,
        part,
        mend.plannedS,
      ]),
    ).toEqual([
      ['talk', 'talk', 135],
      ['knees-to-chest', 'hold', 90],
    ])
  })

  test('is nothing of what was changed since the class', () => {
    const longer = aSession([aTalk('talk', 90), ...session.blocks.slice(1)])
    expect(proposalsOf(longer, drift(late), shippedCatalog)).toEqual([])
  })

  test('is at most five, and of what the session still has', () => {
    const talks = aSession(Array.from({ length: 8 }, (_, at) => aTalk(`talk-${String(at)}`, 60)))
    const log = Array.from({ length: 8 }, (_, at): LeadEvent => ({ type: 'end', atMs: (at + 1) * 30_000 }))
    const one = classDrift(aLedClass(talks, log))
    expect(proposalsOf(talks, one ? [one] : [], shippedCatalog)).toHaveLength(5)
    expect(proposalsOf(aSession([]), one ? [one] : [], shippedCatalog)).toEqual([])
  })
})
