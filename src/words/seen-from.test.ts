import { figureViews } from '#model/figure'
import type { Figure } from '#model/figure'
import { seenFromWords, viewWords } from './seen-from.ts'

const said = (figure: Figure) => figureViews.map((view) => [viewWords(view, figure), seenFromWords(view, figure)])

test('from where a figure is seen is said in the body’s terms: what lies at the ends differs with how it lies', () => {
  expect(said({ kind: 'lying', legs: 'long' })).toEqual([
    ['From the side', 'the right'],
    ['Above', 'above'],
    ['Feet', 'the feet'],
    ['Head', 'the head'],
  ])
  expect(said({ kind: 'prone', trunk: 'flat' }).slice(2)).toEqual([
    ['Head', 'the head'],
    ['Feet', 'the feet'],
  ])
  expect(said({ kind: 'chair', trunk: 'upright' }).slice(2)).toEqual([
    ['Front', 'the front'],
    ['Back', 'the back'],
  ])
  expect(said({ kind: 'side' })[0]).toEqual(['From the front', 'the front'])
})
