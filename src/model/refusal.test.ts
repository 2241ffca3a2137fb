import { z } from 'zod'
import { pathText, refusalsOf } from '#model/refusal'
import { sessionSchema } from '#model/session'
import { aHold, aSession } from '#testing/sessions'

const sentences = (schema: z.ZodType, value: unknown) => {
  const read = schema.safeParse(value)
  return read.success ? [] : refusalsOf(read.error).map(({ sentence }) => sentence)
}

test('a path is written as a person would write it', () => {
  expect([pathText([]), pathText(['name']), pathText(['blocks', 3, 'hold', 'holdS'])]).toEqual([
    'document',
    'name',
    'blocks[3].hold.holdS',
  ])
})

test.each([
  [{ lengthS: 60 }, 'lengthS is too small: give at least 300.'],
  [{ lengthS: '60' }, 'lengthS has the wrong type: give a number.'],
  [{ lengthS: 600.5 }, 'lengthS has the wrong type: give a whole number.'],
  [{ name: 'x'.repeat(200) }, 'name is too large: give at most 120 characters.'],
  [{ practice: 'fast' }, 'practice must be one of: restorative, yin, breath, mixed.'],
  [{ id: 'no spaces' }, 'id is not written as it should be: use letters, figures, - and _ only, at most 64.'],
  [{ blocks: 'none' }, 'blocks has the wrong type: give a list.'],
  [{ colour: 'red' }, 'document has a field that is not known: remove colour.'],
  [{ schoolId: undefined }, 'schoolId is missing: give text.'],
])('%j is refused with the field and the mend', (change, sentence) => {
  expect(sentences(sessionSchema, { ...aSession(), ...change })).toEqual([sentence])
})

test('every mistake is told, not only the first', () => {
  expect(sentences(sessionSchema, { ...aSession(), lengthS: 1, level: 'high' })).toHaveLength(2)
})

test('in a choice of forms the one that was meant is told', () => {
  const oneSide = aSession([aHold('deer', { hold: { leftS: 120 } as never })])
  expect(sentences(sessionSchema, oneSide)).toEqual(['blocks[0].hold.rightS is missing: give a number.'])
  const late = aSession([aHold('deer', { cues: [{ id: 'c', at: { share: 1.5 }, text: 'Now' }] })])
  expect(sentences(sessionSchema, late)[0]).toMatch(/^blocks\[0\]\.cues\[0\]\.at\.share is too large/)
})

test('an instant and a day are asked for as they are written', () => {
  expect(sentences(z.object({ at: z.iso.datetime(), on: z.iso.date() }), { at: 'now', on: 'today' })).toEqual([
    'at is not written as it should be: give an instant like 2026-03-12T19:00:00+01:00.',
    'on is not written as it should be: give a day like 2026-03-12.',
  ])
})
