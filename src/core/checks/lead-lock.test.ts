import fc from 'fast-check'
import type { Session } from '#model/session'
import { checkSession, leadable, locksLead } from '#core/checks'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aRetention, breathDocuments, breathing, someRounds } from '#testing/breath-documents'
import { inCounts, second } from '#testing/breath'
import { aHold, aSession } from '#testing/sessions'

const inputOf = (session: Session) => ({
  session,
  timeline: orThrow(compileTimeline(session, shippedCatalog)),
  catalog: shippedCatalog,
  book: cautionBook,
})
const locked = (session: Session): string[] =>
  checkSession(inputOf(session))
    .filter(locksLead)
    .map(({ code }) => code)

test('what nothing keeps from being led is led as it is', () => {
  const session = breathing([someRounds()])
  const made = leadable(inputOf(session))
  expect(made?.session).toBe(session)
  expect(made?.instead).toEqual([])
})

test('a held breath past the stage is given to natural breath of its length; all else stays', () => {
  const session = breathing([someRounds(), aRetention({ half: 16, times: 2 })])
  expect(locked(session)).toContain('HOLD_PAST_STAGE')
  const made = leadable(inputOf(session))
  expect(made?.timeline.totalMs).toBe(inputOf(session).timeline.totalMs)
  // Twice: breathe out 6 s, in 4, out 4, held 8, natural breath 30.
  expect(made?.instead).toEqual([{ blockId: 'breath', section: 1, s: 104 }])
  expect(made?.session.blocks[1]).toMatchObject({ sections: [{ kind: 'rounds' }, { kind: 'natural', s: 104 }] })
})

const unasked = { everybody: false, sixthStage: false }
const asked = { everybody: true, sixthStage: false }

test('what is held or stroked waits until everybody was asked', () => {
  const strokes = {
    kind: 'strokes',
    id: 's',
    techniqueId: 'short-exhales',
    pace: second,
    strokes: 10,
    rounds: 1,
  } as const
  const session = breathing([someRounds(), aRetention({ half: 8, times: 1 }), someRounds({ id: 'more' }), strokes], {
    stage: 4,
  })
  const codes = (who?: typeof asked) =>
    checkSession({ ...inputOf(session), asked: who }).filter(({ code }) => code === 'HOLD_UNASKED')
  expect(codes().length + codes(asked).length).toBe(0)
  expect(codes(unasked).map(({ facts }) => facts)).toEqual([{ section: 2 }, { section: 4 }])

  const held = leadable({ ...inputOf(session), asked: unasked })
  expect(held?.session.blocks[1]).toMatchObject({
    sections: [{ kind: 'rounds' }, { kind: 'natural' }, { kind: 'rounds' }, { kind: 'natural' }],
  })
  expect(held?.timeline.totalMs).toBe(inputOf(session).timeline.totalMs)
})

test('the sixth stage is planned, and led at the fifth where nobody is marked for it', () => {
  const session = breathing([someRounds({ pattern: inCounts(4, 16, 8, 0) })], { stage: 6 })
  expect(locked(session)).toEqual([])
  expect(leadable({ ...inputOf(session), asked })?.session.blocks[1]).toMatchObject({
    sections: [{ kind: 'natural' }],
  })
  expect(leadable({ ...inputOf(session), asked: { everybody: true, sixthStage: true } })?.session).toBe(session)
})

test('with somebody who is not of age no breath is held, whatever the stage', () => {
  const session = breathing([someRounds(), aRetention({ half: 8, times: 1 })], { stage: 5 })
  expect(leadable({ ...inputOf(session), asked })?.session).toBe(session)
  expect(leadable({ ...inputOf(session), asked: { ...asked, minors: true } })?.session.blocks[1]).toMatchObject({
    sections: [{ kind: 'rounds' }, { kind: 'natural' }],
  })
})

test('counted breath over a hold that may not be led is left away, and the hold stays', () => {
  const over = { techniqueId: 'long-exhale', pace: second, pattern: inCounts(4, 4, 6, 0) }
  const session = aSession([aHold('knees-to-chest', { hold: { holdS: 120 }, breathOver: over })])
  const made = leadable(inputOf(session))
  expect(made?.session.blocks).toEqual([aHold('knees-to-chest', { hold: { holdS: 120 } })])
})

test.each(Object.entries(breathDocuments))(
  'with %s the class can be led all the same, and takes as long',
  (_, { with: session }) => {
    const made = leadable(inputOf(session))
    expect(made && locked(made.session)).toEqual([])
    expect(Math.abs((made?.timeline.totalMs ?? 0) - inputOf(session).timeline.totalMs)).toBeLessThan(1000)
  },
)

test('property: whatever is planned can be led, at the lowest stage too', () => {
  fc.assert(
    fc.property(
      sessions(4),
      fc.constantFrom(1, 2, 4, 6),
      fc.constantFrom('room' as const, 'home' as const),
      (plan, stage, setting) => {
        const session = { ...plan, stage, setting }
        fc.pre(compileTimeline(session, shippedCatalog).ok)
        const made = leadable(inputOf(session))
        expect(made && locked(made.session)).toEqual([])
      },
    ),
    { numRuns: 60 },
  )
})

test.each([
  ['online', ['STRONG_NOT_IN_PERSON']],
  ['home', ['STRONG_NOT_IN_PERSON']],
  ['room', []],
] as const)('what is taught in person, also where it is not strong, is not carried %s', (setting, codes) => {
  const one = breathing([{ kind: 'natural', id: 'one', techniqueId: 'single-nostril', s: 120 }], { setting })
  expect(locked(one)).toEqual(codes)
  expect(locked(breathing([someRounds()], { setting }))).toEqual([])
})
