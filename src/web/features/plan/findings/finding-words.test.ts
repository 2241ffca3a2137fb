import { rules } from '#core/checks'
import { shippedCatalog } from '#library/shipped'
import { codesWithWords, findingWords } from './finding-words.ts'

test('every rule has its words, and no words are for a rule that is gone', () => {
  expect(codesWithWords.toSorted()).toEqual(rules.map(({ code }) => code).toSorted())
})

test('a finding says its number and the consequence', () => {
  const words = findingWords(
    { code: 'OTHER_TIME_SAID', grade: 'look', place: {}, facts: { saidS: 300, leftS: 235, text: 'Five minutes here' } },
    shippedCatalog,
  )
  expect(words.title).toBe('Says 5:00, the plan has 3:55 from there')
  expect(words.reason).toContain('“Five minutes here”')
})

test('a finding of a code nobody knows any more still shows', () => {
  expect(findingWords({ code: 'GONE', grade: 'tip', place: {}, facts: {} }, shippedCatalog).title).toBe('GONE')
})
