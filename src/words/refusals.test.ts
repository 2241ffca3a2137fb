import { z } from 'zod'
import { pathText, refusalsOf } from '#model/refusal'
import { sessionSchema } from '#model/session'
import { aHold, aSession } from '#testing/sessions'
import { fieldName } from './fields.ts'
import { refusalSentence } from './refusals.ts'

const sentences = (schema: z.ZodType, value: unknown) => {
  const read = schema.safeParse(value)
  return read.success ? [] : refusalsOf(read.error.issues).map(refusalSentence)
}

test('a path is written as a person would write it', () => {
  expect([pathText([]), pathText(['name']), pathText(['blocks', 3, 'hold', 'holdS'])]).toEqual([
    'document',
    'name',
    'blocks[3].hold.holdS',
  ])
})

test.each([
  ['lengthS', 'Length'],
  ['names.english', 'English name'],
  ['blocks[3].hold.rightS', 'Block 4, right side'],
  ['holds.yin.new', 'Usual holds, yin, new'],
  ['mistakes[0]', 'What goes wrong, line 1'],
  ['sessions[1].blocks[0].poseId', 'Session 2, block 1, pose'],
  ['somethingNew.floorMm', 'Something new, floor'],
])('%s is called %s', (path, name) => {
  expect(fieldName(path)).toBe(name)
})

test.each([
  [{ lengthS: 60 }, 'Length is too small: give at least 5:00.'],
  [{ lengthS: '60' }, 'Length has the wrong type: give a number.'],
  [{ lengthS: 600.5 }, 'Length has the wrong type: give a whole number.'],
  [{ name: 'x'.repeat(200) }, 'Name is too large: give at most 120 characters.'],
  [{ name: '' }, 'Name: write something.'],
  [{ practice: 'fast' }, 'Practice must be one of: restorative, yin, breath, mixed.'],
  [{ id: 'no spaces' }, 'Id is not written as it should be: use letters, figures, - and _ only, at most 64.'],
  [{ blocks: 'none' }, 'Blocks has the wrong type: give a list.'],
  [{ colour: 'red' }, 'The document has a field that is not known: remove colour.'],
  [{ schoolId: undefined }, 'School is missing: give some text.'],
])('%j is refused with the field as it is called and the mend', (change, sentence) => {
  expect(sentences(sessionSchema, { ...aSession(), ...change })).toEqual([sentence])
})

test('every mistake is told, not only the first', () => {
  expect(sentences(sessionSchema, { ...aSession(), lengthS: 1, level: 'high' })).toHaveLength(2)
})

test('in a choice of forms the one that was meant is told', () => {
  const oneSide = aSession([aHold('deer', { hold: { leftS: 120 } as never })])
  expect(sentences(sessionSchema, oneSide)).toEqual(['Block 1, right side is missing: give a number.'])
  const late = aSession([aHold('deer', { cues: [{ id: 'c', at: { share: 1.5 }, text: 'Now' }] })])
  expect(sentences(sessionSchema, late)[0]).toMatch(/^Block 1, cue 1, share of the hold is too large/)
})

test('an instant and a day are asked for as they are written', () => {
  expect(sentences(z.object({ at: z.iso.datetime(), on: z.iso.date() }), { at: 'now', on: 'today' })).toEqual([
    'At is not written as it should be: give an instant like 2026-03-12T19:00:00+01:00.',
    'On is not written as it should be: give a day like 2026-03-12.',
  ])
})
