import { speakingSeconds, wordCount } from '#core/units'

test.each([
  ['', 0, 0],
  ['Arrive.', 1, 5],
  [Array.from({ length: 110 }, () => 'word').join(' '), 110, 60],
  ['Bolster – blanket, two blocks', 4, 5],
])('%j has its words and takes its time at 110 a minute', (text, words, seconds) => {
  expect([wordCount(text), speakingSeconds(text, 110)]).toEqual([words, seconds])
})

test('a slower pace takes longer, and each new line a breath', () => {
  const text = Array.from({ length: 60 }, () => 'word').join(' ')
  expect(speakingSeconds(text, 60)).toBe(60)
  expect(speakingSeconds(text, 120)).toBe(30)
  expect(speakingSeconds(`${text}\n${text}\n\n${text}`, 60)).toBe(185)
})
