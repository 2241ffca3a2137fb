import type { News } from '#core/series'
import { classesWords, growthWords, rhythmWords, weekSaid, weekWords } from './series.ts'
import type { NamesOfSeries } from './series.ts'

const names: NamesOfSeries = {
  ...{ block: (id) => `The ${id}`, pose: (id) => `pose ${id}`, form: (_, id) => `form ${id}` },
  technique: (id) => `breath ${id}`,
}
const deer = { blockId: 'deer' } as const

test.each<[number, readonly News[], string]>([
  [1, [], 'first time'],
  [2, [], 'the same again'],
  [2, [{ ...deer, is: 'quieter', from: 3, to: 2 }], 'the same again, quieter'],
  [3, [{ ...deer, is: 'longer', fromS: 180, toS: 210 }], 'The deer 3:00 → 3:30'],
  [
    3,
    [
      { ...deer, is: 'comes' },
      { blockId: 'talk', is: 'goes' },
    ],
    'The deer comes in; without The talk',
  ],
  [3, [{ ...deer, is: 'form', variantId: null }], 'The deer: as it is'],
  [3, [{ ...deer, is: 'instead', poseId: 'b', before: 'a' }], 'pose b in place of pose a'],
  [4, [{ ...deer, is: 'step', from: 5, to: 10 }], 'breath 4 : 5, 10 min'],
  [4, [{ ...deer, is: 'lesson', techniqueId: 'x', lesson: 2 }], 'breath x, lesson 2'],
])('week %s with %j is “%s”', (week, news, said) => {
  expect(weekWords(week, news, names).replaceAll(/\u2009|\u202f|\u00a0/g, ' ')).toBe(said)
})

test('what is new can be read aloud', () => {
  expect(weekSaid(3, [{ ...deer, is: 'comes' }], names)).toBe('New today: The deer comes in.')
  expect(weekSaid(2, [], names)).toContain('the same as last time')
})

test('a rule, a rhythm and the number of classes in words', () => {
  expect(growthWords({ id: 'a', blockId: 'deer', kind: 'longer', everyWeeks: 1, mostS: 240 }, names)).toBe(
    'The deer: one step longer every week, to 4:00',
  )
  expect(growthWords({ id: 'a', blockId: 'deer', kind: 'quieter', everyWeeks: 3, least: 1 }, names)).toBe(
    'The deer: one thing less said every 3 weeks, until 1 is left',
  )
  expect(rhythmWords({ weekdays: ['MO', 'TH'], everyWeeks: 2, startsAt: '19:00' }, 'Bellows House')).toBe(
    'Mondays and Thursdays, every 2 weeks 19:00, Bellows House',
  )
  const held = { leftOut: undefined }
  expect(classesWords([held, held])).toBe('2 classes')
  expect(classesWords([held, { leftOut: '' }])).toBe('1 class, one left out')
  expect(classesWords([held, { leftOut: '' }, { leftOut: 'holiday' }])).toBe('1 class, 2 left out')
})
