import { shippedCatalog } from '#library/shipped'
import { learnedFigure, learnedFigures, learnedThing, learnedWords, movedWords } from './learned-times.ts'

test('a learned time is called by what it is of', () => {
  const form = shippedCatalog.poses.get('deer')?.variants[0]
  const of = (key: string) => learnedWords(key, shippedCatalog)
  expect(of('setUp:deer')).toBe('set-up of Deer')
  expect(of(`settle:deer:${form?.id ?? ''}`)).toBe(`settling into Deer, ${form?.name.toLowerCase() ?? ''}`)
  expect(of('comingOut:sphinx')).toBe('coming out of Sphinx')
  expect(of('setUp:even-breath')).toBe('set-up of Even breath')
  expect(of('change:supine>seated')).toBe('coming over: on the back → seated')
  expect(of('changeover')).toBe('changes that the props make')
  expect(of('pace')).toBe('how fast you speak')
  expect(learnedThing('settle:deer', shippedCatalog)).toBe('Deer')
  expect(learnedThing('change:supine>seated', shippedCatalog)).toBe('')
})

test('its figure is in seconds, of props times the estimate, of speech words a minute', () => {
  expect(learnedFigure('setUp:deer', 45)).toBe('45 s')
  expect(learnedFigure('changeover', 125)).toBe('× 1.25')
  expect(learnedFigure('pace', 50)).toBe('120 words a minute')
  expect(learnedFigures('setUp:deer', [40, 45])).toBe('40 · 45 s')
  expect(learnedFigures('changeover', [100, 125])).toBe('× 1.00 · × 1.25')
})

test('what moved is told with the three times that move most', () => {
  const parts = ['deer', 'sphinx', 'frog', 'straddle-fold'].map((id, at) => ({
    key: `setUp:${id}`,
    byMs: 60_000 - at * 20_000,
  }))
  expect(movedWords({ byMs: 380_000, parts }, shippedCatalog)).toBe(
    '6:20 longer by what your classes took: set-up of Deer (+1:00), set-up of Sphinx (+0:40), set-up of Frog (+0:20), 1 more.',
  )
  expect(movedWords({ byMs: -20_000, parts: [{ key: 'setUp:deer', byMs: -20_000 }] }, shippedCatalog)).toBe(
    '0:20 shorter by what your classes took: set-up of Deer (−0:20).',
  )
})
