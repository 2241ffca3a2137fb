import type { ChooserRule } from '#core/fit'
import { shippedCatalog } from '#library/shipped'
import { whyWords } from './chooser.ts'

test.each<[ChooserRule, string]>([
  [{ rule: 'arrives' }, 'arriving'],
  [{ rule: 'breathes' }, 'breath'],
  [{ rule: 'opens' }, 'opening: asks little, the same on both sides'],
  [{ rule: 'warms', target: 'outerHip' }, 'warms the outer hip for what comes later'],
  [{ rule: 'moves', target: 'lowBack' }, 'moves the low back with the breath'],
  [{ rule: 'works', target: 'chest' }, 'deep: works on the chest'],
  [{ rule: 'counters', poseId: 'deer' }, 'counters Deer'],
  [{ rule: 'counters', poseId: 'gone' }, 'counters the pose before'],
  [{ rule: 'settles' }, 'settling before the end'],
  [{ rule: 'closes' }, 'closing'],
])('a block says the rule that chose it: %p', (rule, words) => {
  expect(whyWords(rule, shippedCatalog)).toBe(words)
})

test('a block no rule chose says nothing', () => {
  expect(whyWords(undefined, shippedCatalog)).toBe('')
})
