import type { SubstituteTaken } from '#model/planned-class'
import { insteadWords, lossWords, takenWords } from './substitutes.ts'

const replaced = (by: 'blanket' | 'nothing', n = 1): Pick<SubstituteTaken, 'way' | 'replaced'> => ({
  way: 'substitutes',
  replaced: [{ kind: by === 'blanket' ? 'rectBolster' : 'eyePillow', by, n }],
})

test('says what lies there in its place, and how many of it', () => {
  expect(insteadWords(replaced('blanket'))).toBe('2 blankets for the bolster')
  expect(insteadWords(replaced('blanket', 2))).toBe('4 blankets for 2 bolsters')
  expect(insteadWords(replaced('nothing'))).toBe('without the eye pillow')
  expect(insteadWords({ way: 'substitutes', replaced: [{ kind: 'blanket', by: 'coat', n: 2 }] })).toBe(
    '2 coats or shawls for 2 blankets',
  )
  expect(insteadWords({ way: 'few', replaced: [] })).toBe('with few props')
  expect(insteadWords({ way: 'household', replaced: [] })).toBe('with what a house has')
  expect(insteadWords({ way: 'none', replaced: [] })).toBe('without props')
})

test('says how many have it, and never who', () => {
  expect(takenWords(replaced('blanket'), 11)).toBe('all: 2 blankets for the bolster')
  expect(takenWords({ ...replaced('blanket'), who: ['ivo', 'guest-1'] }, 11)).toBe(
    '2 of 11: 2 blankets for the bolster',
  )
  expect(takenWords({ ...replaced('blanket'), who: ['ivo', 'guest-1'] }, 2)).toBe('all: 2 blankets for the bolster')
})

test('says how much is lost in words', () => {
  expect([0, 1, 2.4, 6].map(lossWords)).toEqual(['as good', 'a little less', 'less', 'much less'])
})
