import fc from 'fast-check'
import type { Session } from '#model/session'
import { compareSessions } from '#core/session'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { differenceWords } from './differences.ts'

const said = (before: Session, after: Session): string[] =>
  compareSessions(before, after).map((difference) => differenceWords(difference, shippedCatalog))
const base = aSession([aTalk(), aHold('deer', { hold: { holdS: 240 } }), aHold('sphinx'), aClosing()])
const blocks = (change: (block: Session['blocks'][number]) => Session['blocks'][number]): Session => ({
  ...base,
  blocks: base.blocks.map(change),
})

test('two states that are the same differ in nothing', () => {
  expect(said(base, structuredClone(base))).toEqual([])
})

test('what is said of a session is told with both of its values where they are short', () => {
  expect(said(base, { ...base, name: 'Slower', lengthS: 4500 })).toEqual([
    `name “${base.name}” to “Slower”`,
    'length 60:00 to 1:15:00',
  ])
  expect(said(base, { ...base, practice: 'restorative', level: 'experienced' })).toEqual([
    'practice “yin” to “restorative”',
    'level “regular” to “experienced”',
  ])
  const elsewhere = { ...base, setting: 'home' as const, extent: 'few' as const }
  expect(said(elsewhere, { ...elsewhere, setting: 'online', extent: 'household' }).toSorted()).toEqual([
    'what it is set up with “few props” to “what a house has”',
    'where it is held “by people alone at home” to “online”',
  ])
  expect(said(base, { ...base, stage: 4, placeId: 'p', before: ['Who ate?'] }).toSorted()).toEqual([
    'place changed',
    'stage of breath work changed',
    'what is asked before breath work changed',
  ])
  expect(said(base, { ...base, purpose: 'Long words about what the hour is for, '.repeat(3) })).toEqual([
    'purpose changed',
  ])
  expect(said(base, { ...base, schoolId: 'other', answers: { firstSide: 'right' }, times: { setUpS: 40 } })).toEqual([
    'school changed',
    'answers changed',
    'times changed',
  ])
})

test('a hold is told with its times, apart where the sides differ', () => {
  const longer = blocks((block) => (block.id === 'deer' ? aHold('deer', { hold: { holdS: 300 } }) : block))
  expect(said(base, longer)).toEqual(['Deer 4:00 to 5:00'])
  const apart = blocks((block) =>
    block.id === 'deer' ? aHold('deer', { hold: { leftS: 240, rightS: 180, why: 'a stiff hip' } }) : block,
  )
  expect(said(base, apart)).toEqual(['Deer 4:00 to left 4:00, right 3:00'])
  expect(said(apart, longer)).toEqual(['Deer left 4:00, right 3:00 to 5:00'])
  const said5 = blocks((block) => (block.kind === 'talk' ? { ...block, s: 300 } : block))
  expect(said(base, said5)).toEqual(['Arrive 1:00 to 5:00'])
})

test('a change that is no time, and one from a usual time, are told as a change', () => {
  const propped = blocks((block) => (block.id === 'sphinx' ? aHold('sphinx', { hold: { holdS: 200 } }) : block))
  expect(said(base, propped)).toEqual(['Sphinx changed'])
  const first = blocks((block) => (block.id === 'deer' ? { ...block, firstSide: 'right' as const } : block))
  expect(said(base, first)).toEqual(['Deer changed'])
})

test('what came, went and changed its place: only what left the order counts as moved', () => {
  const [talk, deer, sphinx, closing] = base.blocks
  if (!talk || !deer || !sphinx || !closing) throw new Error('the session has four blocks')
  const after = { ...base, blocks: [deer, talk, aHold('child-rest'), closing] }
  const lines = said(base, after)
  expect(lines).toHaveLength(3)
  expect(lines.filter((line) => line.includes('moved from place'))).toHaveLength(1)
  expect(lines).toContain('Sphinx dropped')
  expect(lines.at(1)).toMatch(/ added$/)
})

test('property: whatever differs is said in words, each difference in one line', () => {
  fc.assert(
    fc.property(sessions(), sessions(), (before, after) => {
      const lines = said(before, { ...after, name: before.name })
      expect(lines).toHaveLength(compareSessions(before, { ...after, name: before.name }).length)
      for (const line of lines) {
        expect(line).not.toMatch(/undefined|NaN|\[object|schoolId|lengthS/)
        expect(line.trim()).not.toBe('')
      }
    }),
    { numRuns: 60 },
  )
})
