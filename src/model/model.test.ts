import fc from 'fast-check'
import type { z } from 'zod'
import { ledStartSchema } from '#model/led-class'
import { personSchema } from '#model/person'
import { placeSchema } from '#model/place'
import { refusalsOf } from '#model/refusal'
import { sessionSchema } from '#model/session'
import { setUpSchema } from '#model/set-up'
import { sessions } from '#testing/arbitraries'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'

const refusals = (schema: z.ZodType, value: unknown) => {
  const read = schema.safeParse(value)
  return read.success ? [] : refusalsOf(read.error.issues)
}

test('generated sessions of every kind of block are taken as they are', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      expect(sessionSchema.safeParse(session)).toEqual({ success: true, data: session })
    }),
  )
})

test.each([
  ['a name of nothing', aSession([], { name: ' ' }), 'name', 'TOO_SMALL'],
  ['a hold of two seconds', aSession([aHold('deer', { hold: { holdS: 2 } })]), 'blocks[0].hold.holdS', 'TOO_SMALL'],
  [
    'a hold of half a second more',
    aSession([aHold('deer', { hold: { holdS: 60.5 } })]),
    'blocks[0].hold.holdS',
    'WRONG_TYPE',
  ],
  ['a length of a day', aSession([], { lengthS: 86_400 }), 'lengthS', 'TOO_BIG'],
  ['a closing before the end', aSession([aClosing(), aTalk()]), 'blocks[0].kind', 'CLOSING_NOT_LAST'],
  ['one id for two blocks', aSession([aTalk('a'), aTalk('a')]), 'blocks[1].id', 'ID_TWICE'],
  ['an unknown field', { ...aSession(), colour: 'red' }, 'document', 'UNKNOWN_FIELD'],
  ['an unknown practice', { ...aSession(), practice: 'fast' }, 'practice', 'NOT_A_CHOICE'],
  ['no name at all', { ...aSession(), name: undefined }, 'name', 'MISSING'],
  [
    'a hold shorter than its phases',
    aSession([
      aHold('deer', {
        hold: { holdS: 60 },
        phases: [
          { id: 'a', name: 'upright', length: { breaths: 6 } },
          { id: 'b', name: 'folded', length: { rest: true } },
        ],
      }),
    ]),
    'blocks[0].hold.holdS',
    'HOLD_UNDER_PHASES',
  ],
  [
    'two rests of the hold',
    aSession([
      aHold('deer', {
        phases: [
          { id: 'a', name: 'upright', length: { rest: true } },
          { id: 'b', name: 'folded', length: { rest: true } },
        ],
      }),
    ]),
    'blocks[0].phases',
    'PHASE_REST',
  ],
  [
    'a cue without words or sound',
    aSession([aHold('deer', { cues: [{ id: 'c', at: { fromStartS: 3 } }] })]),
    'blocks[0].cues[0]',
    'CUE_EMPTY',
  ],
])('%s is refused by its path', (_, document, path, code) => {
  expect(refusals(sessionSchema, document)).toContainEqual(expect.objectContaining({ path, code }))
})

test('places, people, set-ups, planned and led classes are taken, and refused by path', () => {
  const person = { id: 'p', name: 'Ilka', level: 'new', conditions: [], consents: [] }
  expect(refusals(personSchema, person)).toEqual([])
  expect(refusals(personSchema, { ...person, statureMm: 172.5 })[0]?.path).toBe('statureMm')
  const place = {
    id: 'h',
    name: 'House',
    lengthUnit: 'cm',
    rooms: [{ id: 'r', name: 'Room', lengthMm: 9000, widthMm: 6000, walls: [] }],
    cupboard: [],
  }
  expect(refusals(placeSchema, place)).toEqual([])
  expect(refusals(placeSchema, { ...place, cupboard: [{ id: 'b', kind: 'bolster', count: 3 }] })[0]?.path).toBe(
    'cupboard[0].kind',
  )
  const setUp = {
    id: 's',
    poseId: 'deer',
    name: 'Full',
    extent: 'full',
    items: [
      { id: 'i', kind: 'blanket', count: 1, under: 'pelvis', folds: [{ op: 'halfL' }, { op: 'accordionW', n: 13 }] },
    ],
  }
  expect(refusals(setUpSchema, setUp)[0]?.path).toBe('items[0].folds[1].n')
  const led = {
    id: 'l',
    sessionId: 's',
    startedAt: '2026-03-12T19:00:00Z',
    promisedEnd: '2026-03-12T20:00:00Z',
    people: 9,
    document: aSession(),
    blocks: {},
    plan: { segments: [], cues: [], totalMs: 0, capMs: {}, ceilingMs: {}, over: {} },
  }
  expect(refusals(ledStartSchema, led)).toEqual([])
  expect(refusals(ledStartSchema, { ...led, document: { ...aSession(), name: 3 } })[0]?.path).toBe('document.name')
})
