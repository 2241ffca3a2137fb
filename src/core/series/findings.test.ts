import type { Growth, Series } from '#model/series'
import type { Session } from '#model/session'
import { shippedCatalog as catalog } from '#library/shipped'
import { shippedSeries } from '#library/series'
import { aHold, aSession } from '#testing/sessions'
import { classesOfSeries, findInSeries, ledInWeeks } from './index.ts'
import type { ClassLooked } from './index.ts'

const days = ['2026-03-05', '2026-03-12', '2026-03-19', '2026-03-26', '2026-04-02', '2026-04-09', '2026-04-16']
const aSeries = (growth: readonly Growth[], more: Partial<Series> = {}): Series => ({
  ...{ schema: 1, id: 'ours', name: 'Ours', baseId: 'base', weekdays: ['TH'], firstDay: '2026-03-05', weeks: 7 },
  ...{ people: [], guests: 4, growth: [...growth], classes: [], ...more },
})

function findIn(base: Session, series: Series, of: (one: ClassLooked) => Partial<ClassLooked> = () => ({})) {
  const classes = classesOfSeries({ series, base, days, catalog }).map((one): ClassLooked => {
    const looked = { ...one, own: undefined, isOver: false, expected: 4 }
    return { ...looked, ...of(looked) }
  })
  return findInSeries({ series, base, catalog, classes })
}

const even = (inhale: number, out: number, rounds: number): Session =>
  aSession([
    {
      ...{ kind: 'breath', id: 'even' },
      sections: [
        {
          ...{ kind: 'rounds', id: 'rounds', techniqueId: 'even-breath' },
          ...{ pattern: { in: inhale, full: 0, out, empty: 0 }, amount: { sets: 1, roundsPerSet: rounds } },
        },
      ],
    },
  ])
const ladder: Growth = { id: 'l', blockId: 'even', kind: 'ladder', startStep: 6, perWeek: 3, evenWeeksBefore: 6 }
const own = (n: number, session: Session) => (one: ClassLooked) => (one.n === n ? { own: session } : {})

describe('two things at once', () => {
  test.each([
    ['longer counts and more rounds', even(6, 6, 10), even(8, 8, 12), ['counts', 'rounds']],
    ['a longer inhale in another ratio', even(8, 8, 10), even(10, 14, 10), ['counts', 'ratio']],
  ])('%s are told of the class they come in', (_, before, now, further) => {
    const found = findIn(before, aSeries([]), own(3, now))
    expect(found).toMatchObject([{ code: 'TWO_THINGS_CHANGED', n: 3, facts: { techniqueId: 'even-breath', further } }])
  })

  test.each([
    ['both breaths longer in one ratio', even(6, 6, 10), even(8, 8, 10)],
    ['a longer exhale alone', even(8, 8, 10), even(8, 10, 10)],
    ['more rounds of shorter counts, which is a step back', even(8, 8, 10), even(6, 6, 14)],
  ])('%s is one', (_, before, now) => {
    expect(findIn(before, aSeries([]), own(3, now))).toEqual([])
  })

  test('a class that is over, or left out, is not looked at', () => {
    const [before, now] = [even(6, 6, 10), even(8, 8, 12)]
    const change = (more: Partial<ClassLooked>) => (one: ClassLooked) => (one.n === 7 ? { own: now, ...more } : {})
    expect(findIn(before, aSeries([]), change({}))).toHaveLength(1)
    expect(findIn(before, aSeries([]), change({ isOver: true }))).toEqual([])
    expect(findIn(before, aSeries([]), change({ leftOut: 'holiday' }))).toEqual([])
  })
})

test('breath past the step of its week is early; at its step or under it is not', () => {
  const base = even(6, 6, 10)
  const codes = (session: Session) =>
    findIn(base, aSeries([ladder]), own(2, session))
      .filter(({ n }) => n === 2)
      .map(({ code }) => code)
  expect(codes(even(8, 8, 10))).toContain('STEP_UP_EARLY')
  expect(codes(even(6, 6, 10))).toEqual([])
  expect(codes(even(4, 4, 10))).toEqual([])
})

test('weeks that repeat where something grows are told once; one repetition, or weeks that are to wait, are not', () => {
  const base = aSession([aHold('deer', { hold: { holdS: 150 } })])
  const every = (everyWeeks: number): Growth => ({ id: 'd', blockId: 'deer', kind: 'longer', everyWeeks })
  expect(findIn(base, aSeries([every(2)]))).toEqual([])
  expect(findIn(base, aSeries([every(3)]))).toEqual([
    { code: 'WEEK_REPEATS', grade: 'tip', n: 2, facts: { until: 3 } },
    { code: 'WEEK_REPEATS', grade: 'tip', n: 5, facts: { until: 6 } },
  ])
  expect(findIn(base, aSeries([every(3)], { waits: [2, 3] })).map(({ n }) => n)).toEqual([4])
  expect(findIn(base, aSeries([]))).toEqual([])
})

test('a hold that stands at its usual top, or is to grow past it, is told; one with room is not', () => {
  const base = (holdS: number) => aSession([aHold('deer', { hold: { holdS } })])
  const longer = (mostS?: number): Growth => ({
    ...{ id: 'd', blockId: 'deer', kind: 'longer', everyWeeks: 1 },
    ...(mostS === undefined ? {} : { mostS }),
  })
  const tops = (of: Session, rule: Growth) =>
    findIn(of, aSeries([rule])).flatMap((one) => (one.code === 'GROWS_PAST' ? [one.facts.topS] : []))
  const [topS] = tops(base(600), longer())
  expect(topS).toBeGreaterThan(150)
  expect(tops(base(topS ?? 0), longer())).toEqual([topS])
  expect(tops(base(150), longer())).toEqual([])
  expect(tops(base(150), longer((topS ?? 0) + 30))).toEqual([topS])
})

test('a class to come that nobody is expected in is told', () => {
  const base = aSession([aHold('deer')])
  const found = findIn(base, aSeries([]), ({ n }) => ({ expected: n === 2 || n === 4 ? 0 : 5, isOver: n === 2 }))
  expect(found).toEqual([{ code: 'NOBODY_COMES', grade: 'look', n: 4, facts: {} }])
  // A series nobody was entered for says so once; one that is over says nothing.
  const nobody = (isOver: boolean) => findIn(base, aSeries([]), () => ({ expected: 0, isOver }))
  expect(nobody(false)).toEqual([{ code: 'NOBODY_COMES', grade: 'look', facts: {} }])
  expect(nobody(true)).toEqual([])
})

test.each(shippedSeries.map((shipped) => [shipped.name, shipped] as const))(
  'in “%s” nothing has to be looked at',
  (_, { base, growth, weeks }) => {
    expect(findIn(base, aSeries(growth, { weeks })).filter(({ code }) => code !== 'WEEK_REPEATS')).toEqual([])
  },
)

describe('which class was led', () => {
  const classes = days.map((day, at) => ({ n: at + 1, day, leftOut: undefined as string | undefined }))

  test('one on its own day is; one on another day of its week is offered; one of another week is nobody’s', () => {
    const { led, offered } = ledInWeeks(classes, [
      { id: 'on-time', day: '2026-03-05' },
      { id: 'early', day: '2026-03-10' },
      { id: 'long-ago', day: '2026-01-08' },
    ])
    expect([...led]).toEqual([[1, 'on-time']])
    expect([...offered]).toEqual([[2, 'early']])
  })

  test('a class that knows its record has that, whenever it was; no record is two classes’', () => {
    const known = classes.map((one) => (one.n === 2 ? { ...one, ledClassId: 'early' } : one))
    const { led, offered } = ledInWeeks(known, [
      { id: 'early', day: '2026-03-05' },
      { id: 'twice', day: '2026-03-05' },
    ])
    expect([...led]).toEqual([
      [2, 'early'],
      [1, 'twice'],
    ])
    expect([...offered]).toEqual([])
  })

  test('a class that is left out was not led', () => {
    const out = classes.map((one) => (one.n === 1 ? { ...one, leftOut: 'holiday' } : one))
    const { led, offered } = ledInWeeks(out, [{ id: 'a', day: '2026-03-05' }])
    expect([led.size, offered.size]).toEqual([0, 0])
  })
})
