import { stepChoices, stepName, stepWords } from './ladder.ts'

test('a step of the ladder is told by its counts and how much of it, the first ones by how the breath is', () => {
  expect([stepName(0), stepWords(2)]).toEqual(['watching the breath', 'three-part breath, 3 min'])
  expect(stepWords(6)).toBe('3\u202f:\u202f3, 10 min')
  expect(stepWords(14)).toBe('4\u202f:\u202f1\u202f:\u202f8\u202f:\u202f0, 6 rounds')
})

test('all twenty-eight steps can be chosen to begin with', () => {
  expect(stepChoices.map(({ value }) => value)).toEqual(Array.from({ length: 28 }, (_, step) => step))
})
