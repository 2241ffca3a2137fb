import fc from 'fast-check'
import { orThrow } from '#core/result'
import { inCounts, second } from '#testing/breath'
import {
  countFor,
  course,
  fillTime,
  ladder,
  ladderSteps,
  locksInOrder,
  patternFromRatio,
  roundFacts,
  setsFor,
  steadiness,
} from './index.ts'

describe('facts of a round', () => {
  test.each([
    ['B1', inCounts(4, 0, 4, 0), second, false, [8, 7.5, [1, 0, 1, 0], 0, 0]],
    ['B2', inCounts(4, 16, 8, 0), second, false, [28, 60 / 28, [1, 4, 2, 0], 16 / 28, 16]],
    ['B3', inCounts(4, 4, 8, 0), { num: 1200, den: 1 }, false, [19.2, 3.125, [1, 1, 2, 0], 0.25, 4.8]],
    ['B4', inCounts(4, 0, 6, 0), second, true, [20, 6, [2, 0, 3, 0], 0, 0]],
  ] as const)('%s', (_, pattern, pace, alternate, [roundS, perMin, ratio, held, longest]) => {
    const facts = orThrow(roundFacts({ pattern, pace, alternate }))
    expect(facts.roundS).toBeCloseTo(roundS, 9)
    expect(facts.breathsPerMin).toBeCloseTo(perMin, 9)
    expect(facts.ratio).toEqual(ratio)
    expect(facts.heldShare).toBeCloseTo(held, 9)
    expect(facts.longestHoldS).toBeCloseTo(longest, 9)
    expect(facts.outOverIn).toBeCloseTo(pattern.out / pattern.in, 9)
  })
})

describe('filling a time', () => {
  test.each([
    ['B6', { timeMs: 360_000, pattern: inCounts(4, 0, 5, 0), roundsPerSet: 9, restMs: 45_000 }, 27, [9, 9, 9], 27_000],
    ['B7', { timeMs: 300_000, pattern: inCounts(4, 4, 8, 0), roundsPerSet: 6, restMs: 60_000 }, 12, [6, 6], 48_000],
    [
      'B8',
      { timeMs: 240_000, pattern: inCounts(4, 0, 6, 0), roundsPerSet: 6, restMs: 30_000, alternate: true },
      10,
      [6, 4],
      10_000,
    ],
  ])('%s', (_, input, rounds, sets, leftMs) => {
    expect(fillTime({ ...input, pace: second })).toEqual({ ok: true, value: { rounds, sets, leftMs }, warnings: [] })
  })

  test.each([
    ['timeMs', { timeMs: NaN }, 'NOT_FINITE'],
    ['timeMs', { timeMs: 14_400_001 }, 'OUT_OF_RANGE'],
    ['pattern.in', { pattern: inCounts(0, 0, 4, 0) }, 'OUT_OF_RANGE'],
    ['pattern.full', { pattern: inCounts(4, 65, 4, 0) }, 'OUT_OF_RANGE'],
    ['pace', { pace: { num: 200, den: 1 } }, 'OUT_OF_RANGE'],
    ['roundsPerSet', { roundsPerSet: 0 }, 'OUT_OF_RANGE'],
    ['restMs', { restMs: -1 }, 'OUT_OF_RANGE'],
  ])('refuses %s with %o', (field, change, code) => {
    const input = { timeMs: 60_000, pattern: inCounts(4, 0, 4, 0), pace: second, roundsPerSet: 6, restMs: 0 }
    expect(fillTime({ ...input, ...change })).toMatchObject({ ok: false, code, field })
  })

  test('the other way: up to five sizes of a set, those that leave least over first', () => {
    const input = { timeMs: 300_000, pattern: inCounts(4, 4, 8, 0), pace: second, restMs: 60_000 }
    const options = orThrow(setsFor(input))
    expect(options).toHaveLength(5)
    options.forEach(({ roundsPerSet, rounds, leftMs }, at) => {
      expect(orThrow(fillTime({ ...input, roundsPerSet }))).toMatchObject({ rounds, leftMs })
      expect(leftMs).toBeGreaterThanOrEqual(options[at - 1]?.leftMs ?? 0)
    })
    expect(options[0]).toEqual({ roundsPerSet: 8, rounds: 15, leftMs: 0 })
  })

  test('and the base of a ratio whose total comes nearest, the shorter on a tie, within what a level is given', () => {
    const input = { timeMs: 300_000, ratio: [1, 0, 1, 0] as const, rounds: 18, sets: 2, restMs: 30_000 }
    expect(orThrow(countFor({ ...input, level: 'regular' }))).toEqual({
      base: 4,
      pattern: inCounts(4, 0, 4, 0),
      totalMs: 318_000,
    })
    expect(orThrow(countFor({ ...input, level: 'new' })).base).toBe(3)
    // Three counts come to 306 s and four to 378 s: as far from 342 s.
    expect(orThrow(countFor({ ...input, rounds: 9, sets: 4, timeMs: 342_000, level: 'regular' })).base).toBe(3)
    expect(countFor({ ...input, ratio: [0, 0, 1, 0], level: 'new' })).toMatchObject({ field: 'ratio.in' })
  })
})

describe('a typed ratio', () => {
  test.each([
    ['1:4:2', 4, inCounts(4, 16, 8, 0)],
    ['4:6', undefined, inCounts(4, 0, 6, 0)],
    ['1 : 1.5', 3, { in: 6, full: 0, out: 9, empty: 0 }],
    ['1-1-2-1', 2, inCounts(2, 2, 4, 2)],
    [' 4  4  8 ', undefined, inCounts(4, 4, 8, 0)],
    ['1:1,5', 4, inCounts(4, 0, 6, 0)],
  ])('%s on a base of %s', (text, baseCounts, pattern) => {
    expect(patternFromRatio({ text, ...(baseCounts === undefined ? {} : { baseCounts }) })).toMatchObject({
      ok: true,
      value: pattern,
    })
  })

  test('that comes to parts of half-counts is refused with the nearest bases that work', () => {
    expect(patternFromRatio({ text: '1:1.25', baseCounts: 3 })).toMatchObject({
      ok: false,
      code: 'NOT_WHOLE_HALF_COUNTS',
      field: 'baseCounts',
      extra: { nearest: [2, 4] },
    })
  })

  test.each([
    ['', 'NOT_A_RATIO'],
    ['4', 'NOT_A_RATIO'],
    ['4:x', 'NOT_A_RATIO'],
    ['1:2:3:4:5', 'NOT_A_RATIO'],
    ['0:4', 'PART_NOT_ABOVE_ZERO'],
    ['4:4:0', 'PART_NOT_ABOVE_ZERO'],
    ['1:90', 'OUT_OF_RANGE'],
  ])('“%s” is refused: %s', (text, code) => {
    expect(patternFromRatio({ text, ...(text === '1:90' ? { baseCounts: 1 } : {}) })).toMatchObject({ ok: false, code })
  })

  test('typed as the facts tell it, on its own inhale, is the pattern again', () => {
    fc.assert(
      fc.property(
        fc.record({
          in: fc.integer({ min: 1, max: 40 }),
          full: fc.integer({ min: 0, max: 40 }),
          out: fc.integer({ min: 1, max: 40 }),
          empty: fc.integer({ min: 0, max: 40 }),
        }),
        (pattern) => {
          const { ratio } = orThrow(roundFacts({ pattern, pace: second }))
          expect(patternFromRatio({ text: ratio.join(':'), baseCounts: pattern.in / 2 })).toMatchObject({
            ok: true,
            value: pattern,
          })
        },
      ),
    )
  })
})

describe('the ladder', () => {
  const steps = (input: Parameters<typeof ladder>[0]) => {
    const climbed = ladder(input)
    if (!climbed.ok) throw new Error(climbed.code)
    return climbed.value.map(({ step }) => step)
  }
  const times = (count: number, step: number) => Array.from({ length: count }, () => step)

  test.each([
    ['B9', { startStep: 0, weeks: 8, perWeek: 1 }, [0, 0, 1, 1, 2, 2, 3, 3]],
    [
      'B10',
      { startStep: 0, weeks: 20, perWeek: 3 },
      [0, 1, 2, 3, 4, 5, 6, 6, 7, 8, 9, 9, 10, 10, 11, 11, 12, 12, 13, 13],
    ],
    ['B11', { startStep: 6, weeks: 8, perWeek: 3, evenWeeksBefore: 6 }, [6, 6, 7, 8, 9, 9, 10, 10]],
    [
      'B12',
      { startStep: 13, weeks: 30, perWeek: 5, topStage: 5, firstWeek: 10 },
      [...times(6, 13), 14, 14, 15, 15, 16, 16, 17, 18, ...times(11, 19), 20, 20, 21, 21, 22],
    ],
  ] as const)('%s', (_, input, expected) => {
    expect(steps(input)).toEqual(expected)
  })

  test('takes at most one step a week, never one back, never past its top, and changes one thing at a step', () => {
    fc.assert(
      fc.property(
        fc.record({
          startStep: fc.integer({ min: 0, max: 27 }),
          weeks: fc.integer({ min: 1, max: 80 }),
          perWeek: fc.integer({ min: 0, max: 7 }),
          topStage: fc.integer({ min: 1, max: 6 }),
          firstWeek: fc.integer({ min: 1, max: 60 }),
          evenWeeksBefore: fc.integer({ min: 0, max: 20 }),
        }),
        (input) => {
          const climbed = steps(input)
          expect(climbed).toHaveLength(input.weeks)
          climbed.forEach((step, at) => {
            const before = climbed[at - 1] ?? step
            expect(step - before === 0 || step - before === 1).toBe(true)
            if (step > before) expect(ladderSteps[step]?.stage).toBeLessThanOrEqual(input.topStage)
          })
        },
      ),
    )
    const parts = ['in', 'full', 'out', 'empty'] as const
    ladderSteps.forEach((step, at) => {
      const [now, before] = [step.pattern, ladderSteps[at - 1]?.pattern]
      const longer = now && before ? parts.filter((part) => now[part] > before[part]) : []
      // From 3 : 3 to 4 : 4 the count itself grows, and the time goes back.
      expect(at === 7 ? longer : longer.slice(0, 1)).toEqual(longer)
    })
  })

  const easyIn = (...weeks: number[]) => weeks.map((week) => ({ week, was: 'easy' as const }))

  test('goes by the practices there were, and by those expected after the last', () => {
    const course = { startStep: 6, weeks: 8, perWeek: 3, evenWeeksBefore: 6 }
    // As B11 where three easy practices a week are what there was.
    const asExpected = easyIn(1, 1, 1, 2, 2, 2, 3, 3, 3)
    expect(steps({ ...course, practices: asExpected })).toEqual(steps(course))
    // One a week: four practices on step 6 are only there at the end of week 4.
    expect(steps({ ...course, practices: easyIn(1, 2, 3, 4) })).toEqual([6, 6, 6, 6, 7, 8, 9, 9])
    expect(steps({ ...course, practices: [] })).toEqual(steps(course))
  })

  test('a strained practice goes one step back, one while ill changes nothing, and never below the first step', () => {
    const course = { startStep: 8, weeks: 4, perWeek: 3 }
    expect(steps({ ...course, practices: [...easyIn(1, 1), { week: 1, was: 'strain' }] })).toEqual([8, 7, 8, 9])
    expect(steps({ ...course, practices: [{ week: 1, was: 'ill' }] })).toEqual([8, 8, 9, 9])
    expect(steps({ startStep: 0, weeks: 2, perWeek: 3, practices: [{ week: 1, was: 'strain' }] })).toEqual([0, 0])
  })

  test('more than three weeks without practice go to the first step of the stage', () => {
    const away = (last: number) =>
      steps({ startStep: 12, weeks: last, perWeek: 3, practices: [...easyIn(1, 1), ...easyIn(last)] })
    expect(away(5)).toEqual([12, 12, 12, 12, 12])
    expect(away(6)).toEqual([12, 12, 12, 12, 12, 10])
    // Weeks of illness are weeks away.
    const ill = [...easyIn(1, 1, 6), ...[2, 3, 4, 5].map((week) => ({ week, was: 'ill' as const }))]
    expect(steps({ startStep: 12, weeks: 6, perWeek: 3, practices: ill })).toEqual(away(6))
  })

  test('the ratio waits in a week that brings a new technique', () => {
    const course = { startStep: 6, weeks: 8, perWeek: 3, evenWeeksBefore: 6 }
    expect(steps({ ...course, newTechniqueIn: [3] })).toEqual([6, 6, 6, 7, 8, 9, 9, 10])
  })

  test('three-part breath stands where the school has it', () => {
    const course = { startStep: 0, weeks: 9, perWeek: 3 }
    expect(steps({ ...course, threePartBreath: 'secondStep' })).toEqual(steps(course))
    expect(steps({ ...course, threePartBreath: 'afterFifthStep' })).toEqual([0, 1, 3, 4, 5, 2, 6, 6, 7])
    expect(steps({ ...course, threePartBreath: 'outside' })).toEqual([0, 1, 3, 4, 5, 6, 6, 7, 8])
    const strained = [{ week: 1, was: 'strain' as const }]
    const two = { startStep: 2, weeks: 2, perWeek: 3, practices: strained }
    expect(steps({ ...two, threePartBreath: 'afterFifthStep' })).toEqual([2, 5])
    expect(steps({ ...two, threePartBreath: 'outside' })).toEqual([2, 1])
  })

  test('refuses what it cannot climb, with the field', () => {
    expect(ladder({ startStep: 0, weeks: NaN, perWeek: 1 })).toMatchObject({ code: 'NOT_FINITE', field: 'weeks' })
    expect(ladder({ startStep: 0, weeks: 105, perWeek: 1 })).toMatchObject({ code: 'OUT_OF_RANGE', field: 'weeks' })
    expect(ladder({ startStep: 0, weeks: 4, perWeek: 1, practices: [{ week: 0, was: 'easy' }] })).toMatchObject({
      code: 'OUT_OF_RANGE',
      field: 'practices.0.week',
    })
    expect(ladder({ startStep: 28, weeks: 4, perWeek: 1 })).toMatchObject({ code: 'OUT_OF_RANGE', field: 'startStep' })
    expect(ladder({ startStep: 0, weeks: 4, perWeek: -1 })).toMatchObject({ code: 'OUT_OF_RANGE', field: 'perWeek' })
    expect(ladder({ startStep: 0, weeks: 1.5, perWeek: 1 })).toMatchObject({ code: 'OUT_OF_RANGE', field: 'weeks' })
  })
})

describe('a course', () => {
  const learned = [
    { techniqueId: 'three-part-breath', lessons: 4 },
    { techniqueId: 'throat-breath', lessons: 2 },
  ]

  test('has a lesson a week beside the ladder, which waits where a technique begins', () => {
    const weeks = orThrow(course({ startStep: 6, weeks: 8, perWeek: 3, evenWeeksBefore: 6, learned, lessonsFrom: 2 }))
    expect(weeks.map(({ step }) => step)).toEqual([6, 6, 7, 8, 9, 9, 10, 10])
    expect(weeks.map(({ lesson }) => lesson && `${lesson.techniqueId} ${String(lesson.lesson)}`)).toEqual([
      undefined,
      ...[1, 2, 3, 4].map((lesson) => `three-part-breath ${String(lesson)}`),
      ...[1, 2].map((lesson) => `throat-breath ${String(lesson)}`),
      undefined,
    ])
  })

  test('never has two new things in a week', () => {
    fc.assert(
      fc.property(
        fc.record({
          startStep: fc.integer({ min: 0, max: 27 }),
          weeks: fc.integer({ min: 1, max: 40 }),
          perWeek: fc.integer({ min: 0, max: 7 }),
          lessonsFrom: fc.integer({ min: 1, max: 12 }),
          topStage: fc.integer({ min: 1, max: 5 }),
        }),
        (input) => {
          const weeks = orThrow(course({ ...input, learned }))
          weeks.forEach(({ step, lesson }, at) => {
            if (lesson?.lesson === 1) expect(step).toBe(weeks[at - 1]?.step ?? step)
          })
        },
      ),
    )
  })
})

describe('a steady count', () => {
  const taps = (count: number, gap: (at: number) => number) =>
    Array.from({ length: count - 1 }, (_, at) => gap(at)).reduce<number[]>(
      (all, one) => [...all, (all.at(-1) ?? 0) + one],
      [0],
    )

  test('B13: a count that gets faster', () => {
    const steady = steadiness({ tapsMs: taps(61, (at) => 1000 - 2 * at), wantMs: 1000 })
    if (!steady.ok) throw new Error(steady.code)
    expect(steady.value.meanMs).toBeCloseTo(941, 9)
    expect(steady.value.offPercent).toBeCloseTo(-5.9, 6)
    expect(steady.value.driftPercentPerMin).toBeCloseTo(-13.55, 2)
    expect(steady.value.jitterPercent).toBeCloseTo(0.06, 2)
  })

  test('B14: one that is even, and slow', () => {
    const steady = steadiness({ tapsMs: taps(21, () => 1050), wantMs: 1000 })
    if (!steady.ok) throw new Error(steady.code)
    expect(steady.value.offPercent).toBeCloseTo(5, 9)
    expect(steady.value.driftPercentPerMin).toBeCloseTo(0, 9)
    expect(steady.value.jitterPercent).toBeCloseTo(0, 9)
  })

  test('refuses too few taps, taps that do not rise, and nothing wanted', () => {
    expect(steadiness({ tapsMs: taps(8, () => 1000), wantMs: 1000 })).toMatchObject({
      code: 'TOO_FEW',
      field: 'tapsMs',
    })
    expect(steadiness({ tapsMs: [...taps(9, () => 1000), 8000], wantMs: 1000 })).toMatchObject({
      code: 'OUT_OF_RANGE',
      field: 'tapsMs',
    })
    expect(steadiness({ tapsMs: taps(9, () => 1000), wantMs: 0 })).toMatchObject({
      code: 'OUT_OF_RANGE',
      field: 'wantMs',
    })
  })
})

test('locks are taken in the order of the school, and the belly is let go before the chin is lifted', () => {
  expect(locksInOrder(['root', 'chin', 'belly'], 'chinFirst')).toEqual({
    on: ['chin', 'belly', 'root'],
    off: ['root', 'belly', 'chin'],
  })
  expect(locksInOrder(['root', 'chin', 'belly'], 'rootFirst')).toEqual({
    on: ['root', 'belly', 'chin'],
    off: ['root', 'belly', 'chin'],
  })
  expect(locksInOrder(['root'], 'rootFirst')).toEqual({ on: ['root'], off: ['root'] })
  expect(locksInOrder([], 'chinFirst')).toBeUndefined()
})
