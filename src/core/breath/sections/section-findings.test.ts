import type { Section } from '#model/section'
import { firstStageOf, resolveSection, sectionFindings } from '#core/breath'
import type { SectionFinding, Stage } from '#core/breath'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { inCounts, second } from '#testing/breath'

type Rounds = Extract<Section, { kind: 'rounds' }>
type Retention = Extract<Section, { kind: 'retention' }>
type Strokes = Extract<Section, { kind: 'strokes' }>

const rounds = (fields: Partial<Rounds>): Section => ({
  kind: 'rounds',
  id: 'r',
  techniqueId: 'even-breath',
  pace: second,
  amount: { sets: 1, roundsPerSet: 6 },
  ...fields,
})
const retention = (fields: Partial<Retention>): Section => ({
  kind: 'retention',
  id: 'h',
  held: 'empty',
  half: 16,
  lead: { in: 8, out: 8 },
  times: 1,
  ...fields,
})
const strokes = (fields: Partial<Strokes>): Section => ({
  kind: 'strokes',
  id: 's',
  techniqueId: 'even-breath',
  pace: second,
  strokes: 20,
  rounds: 2,
  ...fields,
})
type Who = Parameters<typeof sectionFindings>[1]
const found = (section: Section, who: Partial<Who> = {}): readonly SectionFinding[] =>
  sectionFindings(orThrow(resolveSection(section, shippedCatalog.techniques)), {
    stage: 6,
    level: 'experienced',
    ...who,
  })
const grade = (code: SectionFinding['code'], section: Section, who: Partial<Who> = {}) =>
  found(section, who).find((one) => one.code === code)?.grade

describe('a held breath past the stage', () => {
  test.each<[Stage, [number, number, number, number], string | undefined]>([
    [1, [4, 0, 4, 0], undefined],
    [1, [4, 0.5, 4, 0], 'must'],
    [2, [4, 1, 4, 0], 'look'],
    [3, [4, 1, 4, 1], 'look'],
    [3, [4, 1.5, 4, 0], 'must'],
    [4, [4, 4, 8, 1], undefined],
    [4, [4, 4.5, 8, 0], 'must'],
    [4, [4, 4, 8, 1.5], 'must'],
    [5, [4, 8, 8, 4], undefined],
    [5, [4, 8, 8, 4.5], 'must'],
    [6, [4, 16, 8, 0], undefined],
    [6, [4, 16.5, 8, 0], 'must'],
  ])('stage %i, %o: %s', (stage, [inhale, full, out, empty], expected) => {
    expect(grade('HOLD_PAST_STAGE', rounds({ pattern: inCounts(inhale, full, out, empty) }), { stage })).toBe(expected)
  })

  test('goes by seconds as by counts, and by a slope’s longest', () => {
    const slow = { num: 1300, den: 1 }
    expect(grade('HOLD_PAST_STAGE', rounds({ pattern: inCounts(4, 4, 8, 0), pace: slow }), { stage: 4 })).toBe('must')
    const slope = { part: 'full' as const, byHalf: 1, everySets: 1, to: 10 }
    const growing = rounds({ pattern: inCounts(4, 4, 8, 0), slope, amount: { sets: 5, roundsPerSet: 2 } })
    expect(grade('HOLD_PAST_STAGE', growing, { stage: 4 })).toBe('must')
    expect(grade('HOLD_PAST_STAGE', growing, { stage: 5 })).toBeUndefined()
  })

  test('counts the pauses of a breath in steps: a look at stage 3, up to two counts', () => {
    const stepped = (pauseHalf: number) => rounds({ pattern: inCounts(6, 0, 6, 0), steps: { in: 3, pauseHalf } })
    expect(grade('HOLD_PAST_STAGE', stepped(4), { stage: 3 })).toBe('look')
    expect(grade('HOLD_PAST_STAGE', stepped(5), { stage: 3 })).toBe('must')
    expect(grade('HOLD_PAST_STAGE', stepped(4), { stage: 2 })).toBe('must')
    expect(grade('HOLD_PAST_STAGE', stepped(4), { stage: 4 })).toBeUndefined()
  })

  test('is asked of a retention by itself', () => {
    expect(grade('HOLD_PAST_STAGE', retention({ half: 8 }), { stage: 5 })).toBeUndefined()
    expect(grade('HOLD_PAST_STAGE', retention({ half: 16 }), { stage: 5 })).toBe('must')
  })
})

test.each<[Stage, Partial<Strokes>, string | undefined]>([
  [3, { strokes: 5, rounds: 1 }, 'must'],
  [4, {}, undefined],
  [4, { strokes: 21 }, 'must'],
  [4, { rounds: 3 }, 'must'],
  [4, { pace: { num: 900, den: 1 } }, 'must'],
  [5, { rounds: 3, pace: { num: 900, den: 1 } }, undefined],
  [5, { rounds: 4 }, 'must'],
  [4, { both: true, strokes: 10 }, 'must'],
  [5, { both: true, strokes: 10 }, undefined],
  [5, { both: true, strokes: 11 }, 'must'],
])('strokes at stage %i, %o: %s', (stage, fields, expected) => {
  expect(grade('STROKES_PAST_STAGE', strokes(fields), { stage })).toBe(expected)
})

describe('locks', () => {
  const three = {
    on: ['chin' as const, 'belly' as const, 'root' as const],
    off: ['root' as const, 'belly' as const, 'chin' as const],
  }
  const root = { on: ['root' as const], off: ['root' as const] }

  test('leave at least two still counts', () => {
    expect(grade('LOCKS_TOO_SHORT', retention({ locks: three, half: 16 }))).toBeUndefined()
    expect(grade('LOCKS_TOO_SHORT', retention({ locks: three, half: 15 }))).toBe('must')
    // On a full breath the belly lock is left out, and two counts with it.
    expect(grade('LOCKS_TOO_SHORT', rounds({ pattern: inCounts(4, 6, 8, 0), locks: three }))).toBeUndefined()
    expect(grade('LOCKS_TOO_SHORT', rounds({ pattern: inCounts(4, 5, 8, 0), locks: three }))).toBe('must')
  })

  test('belong to a held breath; the belly’s to an empty one; the root alone may stay, looked at', () => {
    const even = inCounts(4, 0, 4, 0)
    expect(grade('LOCK_WITHOUT_HOLD', rounds({ pattern: even, locks: three }))).toBe('must')
    expect(grade('LOCK_WITHOUT_HOLD', rounds({ pattern: even, locks: root }), { stage: 3 })).toBe('look')
    expect(grade('LOCK_WITHOUT_HOLD', rounds({ pattern: even, locks: root }), { stage: 2 })).toBe('must')
    expect(grade('LOCK_WITHOUT_HOLD', retention({ held: 'full', half: 20, locks: three }))).toBe('must')
    expect(grade('LOCK_WITHOUT_HOLD', retention({ half: 20, locks: three }))).toBeUndefined()
    expect(grade('LOCK_WITHOUT_HOLD', rounds({ pattern: inCounts(4, 8, 8, 0), locks: three }))).toBe('must')
    expect(grade('LOCK_WITHOUT_HOLD', rounds({ pattern: inCounts(4, 0, 8, 8), locks: three }))).toBeUndefined()
  })

  test('belly strokes fit the still counts of an empty breath', () => {
    const withStrokes = (n: number, held: 'full' | 'empty' = 'empty') =>
      retention({ locks: three, half: 20, held, strokes: { n, pace: second } })
    expect(grade('STROKES_TOO_MANY', withStrokes(4))).toBeUndefined()
    expect(found(withStrokes(5))).toContainEqual({
      code: 'STROKES_TOO_MANY',
      grade: 'must',
      facts: { strokes: 5, most: 4 },
    })
    expect(grade('LOCK_WITHOUT_HOLD', withStrokes(1, 'full'))).toBe('must')
  })
})

test.each([
  ['new', [4, 0, 6, 0], undefined],
  ['new', [4, 0, 6.5, 0], 'look'],
  ['regular', [4, 0, 8, 0], undefined],
  ['experienced', [4, 0, 8.5, 0], 'look'],
] as const)('an exhale past the level: %s, %o: %s', (level, [inhale, full, out, empty], expected) => {
  expect(grade('EXHALE_PAST_LEVEL', rounds({ pattern: inCounts(inhale, full, out, empty) }), { level })).toBe(expected)
})

test.each([
  ['new', [6, 0, 6, 0], undefined],
  ['new', [6, 0, 6.5, 0], 'look'],
  ['regular', [8, 0, 9, 0], undefined],
  ['regular', [8, 0, 9.5, 0], 'look'],
  ['experienced', [8, 8, 14, 0], undefined],
  ['experienced', [8, 9, 14, 0], 'look'],
] as const)('breath that is slow for the level: %s, %o: %s', (level, [inhale, full, out, empty], expected) => {
  expect(grade('SLOW_FOR_LEVEL', rounds({ pattern: inCounts(inhale, full, out, empty) }), { level })).toBe(expected)
})

test('stations of different rounds want a reason', () => {
  const stations = (why?: string) =>
    rounds({
      pattern: inCounts(3, 0, 3, 0),
      amount: undefined,
      stations: [
        { place: 'front', rounds: 5 },
        { place: 'back', rounds: 8, ...(why === undefined ? {} : { why }) },
      ],
    })
  expect(found(stations())).toContainEqual({ code: 'STATION_UNEVEN', grade: 'look', facts: { place: 'back' } })
  expect(grade('STATION_UNEVEN', stations('it is felt last there'))).toBeUndefined()
})

test.each([
  ['an even breath', rounds({ pattern: inCounts(4, 0, 4, 0) }), 1],
  ['a pause of a count', rounds({ pattern: inCounts(4, 1, 4, 0) }), 2],
  ['4 : 4 : 8', rounds({ pattern: inCounts(4, 4, 8, 0) }), 4],
  ['4 : 16 : 8', rounds({ pattern: inCounts(4, 16, 8, 0) }), 6],
  ['a full breath of 20', retention({ held: 'full', half: 40 }), undefined],
  ['strokes of both halves', strokes({ both: true, strokes: 10, rounds: 2 }), 5],
] as const)('%s belongs to the stage it may first be done in', (_, section, stage) => {
  expect(firstStageOf(orThrow(resolveSection(section, shippedCatalog.techniques)))).toBe(stage)
})
