import { shippedCatalog } from '#library/shipped'
import { findingWords } from './findings.ts'

test('a finding says its number and the consequence', () => {
  const words = findingWords(
    { code: 'OTHER_TIME_SAID', facts: { saidS: 300, leftS: 235, text: 'Five minutes here' } },
    shippedCatalog,
  )
  expect(words.title).toBe('Says 5:00, the plan has 3:55 from there')
  expect(words.reason).toContain('“Five minutes here”')
})
