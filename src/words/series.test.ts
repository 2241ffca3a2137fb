import type { News, SeriesFinding } from '#core/series'
import {
  busyWords,
  catchUpWords,
  classesWords,
  comersWords,
  growthWords,
  nextSaid,
  rhythmWords,
  seriesFindingWords,
  touchedWords,
  weekSaid,
  weekWords,
} from './series.ts'
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
  const longer = { ...deer, is: 'longer', fromS: 210, toS: 240 } as const
  expect(weekSaid(3, [longer], names)).toBe('New today: The deer 3:30 to 4:00.')
  expect(weekSaid(3, [{ ...deer, is: 'quieter', from: 3, to: 2 }], names)).toBe(
    'Today is the same as last time, and less is said.',
  )
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

test('at the closing it is said when the next is and what is new in it; of a plan of its own only when', () => {
  const next = { day: '2026-03-26', startsAt: '18:45', week: 5, sessionId: undefined }
  expect(nextSaid({ ...next, news: [{ ...deer, is: 'comes' }] }, names)).toBe(
    'Next time, Thu 26 Mar, 18:45: The deer comes in.',
  )
  expect(nextSaid({ ...next, news: [] }, names)).toBe('Next time, Thu 26 Mar, 18:45: the same again.')
  expect(nextSaid({ ...next, news: [], sessionId: 'own' }, names)).toBe('Next time, Thu 26 Mar, 18:45.')
})

test('somebody catches up with three lines', () => {
  const plain = (lines: readonly string[]) => lines.map((line) => line.replaceAll(/\u2009|\u202f|\u00a0/g, ' '))
  const step = { done: 9, now: 10 }
  expect(plain(catchUpWords({ came: [1], missed: [2, 3], news: [{ ...deer, is: 'comes' }], step }, names))).toEqual([
    'Missed week 2 and week 3; came to 1 of 3.',
    'New to them: The deer comes in.',
    'Offer both to all: 4 : 5, 10 min, or stay with 4 : 4, 10 min.',
  ])
  expect(catchUpWords({ came: [1, 3], missed: [2], news: [], step: undefined }, names)).toEqual([
    'Missed week 2; came to 2 of 3.',
    'What was new then has been there again since.',
    'They come to the next class as it is; nothing has to be made up.',
  ])
  expect(catchUpWords({ came: [], missed: [1], news: [], step: undefined }, names)[2]).toMatch(/^Before the first/)
})

test('what a series works is told with what it leaves alone, the most first', () => {
  const { touched, not } = touchedWords(
    new Map([
      ['lowBack', 2],
      ['outerHip', 8],
    ]),
    8,
  )
  expect(touched).toBe('outer hip, low back (2 of 8)')
  expect(not).toContain('wrists')
  expect(not).not.toContain('low back')
})

test('who came and what else is on a day are told; nobody expected is no words', () => {
  expect([comersWords(9, true), comersWords(9, false), comersWords(0, false)]).toEqual(['9 came', '9 expected', ''])
  expect(busyWords({ day: '2026-04-05', what: 'By the sea' })).toBe('Sun 5 Apr: By the sea')
  expect(busyWords({ day: '2026-04-05', what: '' })).toBe('Sun 5 Apr')
})

test('every finding of a series has its sentence', () => {
  const told = (finding: SeriesFinding) => seriesFindingWords(finding, names)
  const [look, tip] = ['look', 'tip'] as const
  expect(
    [
      told({
        ...{ code: 'TWO_THINGS_CHANGED', grade: look, n: 3 },
        facts: { techniqueId: 'even', further: ['counts', 'rounds'] },
      }),
      told({ code: 'STEP_UP_EARLY', grade: look, n: 3, facts: { techniqueId: 'even' } }),
      told({ code: 'WEEK_REPEATS', grade: tip, n: 3, facts: { until: 5 } }),
      told({ code: 'GROWS_PAST', grade: look, facts: { blockId: 'deer', topS: 240 } }),
      told({ code: 'NOBODY_COMES', grade: look, n: 3, facts: {} }),
    ].map((words) => words.split(/[.:]/)[0]),
  ).toEqual([
    'breath even',
    'breath even goes past the step of this week',
    'The same again up to week 5',
    'The deer is held no longer than is usual, 4',
    'Nobody is expected',
  ])
})
