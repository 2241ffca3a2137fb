import fc from 'fast-check'
import type { Section } from '#model/section'
import { sectionSchema } from '#model/section'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { breaths } from '#testing/arbitraries'
import { inCounts, second } from '#testing/breath'
import {
  blockFacts,
  fillChoices,
  layOutSection,
  resolveSection,
  sectionFacts,
  sectionMs,
  slopedPatterns,
} from '#core/breath'
import type { Stretch } from '#core/breath'

const resolved = (section: Section) => orThrow(resolveSection(section, shippedCatalog.techniques))
const laid = (section: Section): readonly Stretch[] => layOutSection(resolved(section))
const told = (stretches: readonly Stretch[]) => stretches.map(({ part, lengthMs }) => [part, lengthMs / 1000])
const sumMs = (stretches: readonly Stretch[]) => stretches.reduce((all, { lengthMs }) => all + lengthMs, 0)
type Rounds = Extract<Section, { kind: 'rounds' }>
const rounds = (fields: Partial<Rounds>): Rounds => ({
  kind: 'rounds',
  id: 'r',
  techniqueId: 'even-breath',
  pattern: inCounts(4, 0, 4, 0),
  pace: second,
  restS: 30,
  countedRounds: 20,
  ...fields,
})

describe('counted rounds', () => {
  test('begin each set with six seconds to breathe out, rest between sets, and never end in a rest', () => {
    const stretches = laid(rounds({ amount: { rounds: 3, roundsPerSet: 2 } }))
    expect(told(stretches)).toEqual([
      ['leadIn', 6],
      ...[1, 2].flatMap(() => [
        ['in', 4],
        ['out', 4],
      ]),
      ['rest', 30],
      ['leadIn', 6],
      ['in', 4],
      ['out', 4],
    ])
  })

  test('breathe out for at least an exhale of the pattern, and finish a breath after silent rounds', () => {
    const long = rounds({ pattern: inCounts(4, 0, 8, 0), amount: { sets: 1, roundsPerSet: 2 }, countedRounds: 1 })
    expect(told(laid(long))).toEqual([
      ['leadIn', 8],
      ['in', 4],
      ['out', 8],
      ['in', 4],
      ['out', 8],
      ['wayOut', 8],
    ])
    expect(laid({ ...long, leadInS: 0, wayOutS: 0 })[0]?.part).toBe('in')
  })

  test('that fill a time take it to the millisecond, whatever is led in and out of them', () => {
    fc.assert(
      fc.property(
        fc.record({
          fillS: fc.integer({ min: 5, max: 3600 }),
          roundsPerSet: fc.integer({ min: 1, max: 15 }),
          countedRounds: fc.integer({ min: 0, max: 15 }),
          leadInS: fc.integer({ min: 0, max: 20 }),
          restS: fc.integer({ min: 0, max: 120 }),
          num: fc.integer({ min: 700, max: 2500 }),
        }),
        ({ fillS, roundsPerSet, countedRounds, leadInS, restS, num }) => {
          const pace = { num, den: 1 }
          const stretches = laid(rounds({ amount: { fillS, roundsPerSet }, countedRounds, leadInS, restS, pace }))
          expect(sumMs(stretches)).toBe(fillS * 1000)
          const parts = stretches.map(({ part }) => part)
          expect(parts.filter((part) => part !== 'natural').at(-1)).not.toBe('rest')
        },
      ),
    )
  })

  test('never drift: after four hours each turn stands where its counts say', () => {
    const pace = { num: 1001, den: 3 }
    const stretches = laid(rounds({ amount: { sets: 12, roundsPerSet: 100 }, pace, restS: 0, leadInS: 0, wayOutS: 0 }))
    let halves = 0
    let atMs = 0
    for (const { counts, lengthMs } of stretches) {
      halves += counts * 2
      atMs += lengthMs
      expect(atMs).toBe(Math.floor((halves * pace.num) / (2 * pace.den)))
    }
  })

  test('through the nostrils in turn are two breaths a round, begun on the side that is asked for', () => {
    const inTurn = rounds({ nostrils: 'alternate', amount: { sets: 1, roundsPerSet: 1 }, leadInS: 0 })
    expect(laid(inTurn).map(({ part, through }) => [part, through])).toEqual([
      ['in', 'left'],
      ['out', 'right'],
      ['in', 'right'],
      ['out', 'left'],
    ])
    expect(laid({ ...inTurn, first: 'right' })[0]?.through).toBe('right')
    expect(sectionFacts(resolved(inTurn))).toMatchObject({ rounds: 1, breaths: 2, steepest: 7.5, totalMs: 16_000 })
  })

  test('a list that begins with an exhale keeps each retention after its own half', () => {
    const list = rounds({
      nostrils: [
        { does: 'out', through: 'left' },
        { does: 'in', through: 'right' },
      ],
      pattern: inCounts(4, 2, 6, 1),
      amount: { sets: 1, roundsPerSet: 1 },
      leadInS: 0,
    })
    expect(told(laid(list))).toEqual([
      ['out', 6],
      ['empty', 1],
      ['in', 4],
      ['full', 2],
    ])
  })

  test('in steps divide the breath in equal parts with pauses, which count as held', () => {
    const stepped = rounds({
      pattern: inCounts(4, 0, 6, 0),
      steps: { in: 3, pauseHalf: 2 },
      amount: { sets: 1, roundsPerSet: 2 },
      leadInS: 0,
    })
    const stretches = laid(stepped)
    expect(stretches.slice(0, 6).map(({ part, step }) => [part, step])).toEqual([
      ['in', 1],
      ['pause', undefined],
      ['in', 2],
      ['pause', undefined],
      ['in', 3],
      ['out', undefined],
    ])
    // Thirds of four seconds, each boundary rounded down from the start.
    expect(stretches.slice(0, 5).map(({ lengthMs }) => lengthMs)).toEqual([1333, 1000, 1333, 1000, 1334])
    expect(sectionFacts(resolved(stepped))).toMatchObject({ totalMs: 24_000, heldMs: 4000, longestHoldMs: 1000 })
  })

  test('at stations are shown first, then done, with a lead-in before each pass alone', () => {
    const places = [
      { place: 'front', rounds: 5 },
      { place: 'back', rounds: 5 },
    ]
    const stretches = laid(rounds({ stations: places, shown: 3, closed: true }))
    expect(stretches.filter(({ part }) => part === 'leadIn')).toHaveLength(2)
    expect(stretches.filter(({ part }) => part === 'rest')).toHaveLength(1)
    const breathsAt = (station: number, shown: true | undefined) =>
      stretches.filter((one) => one.part === 'in' && one.station === station && one.shown === shown).length
    expect([breathsAt(0, true), breathsAt(1, true), breathsAt(0, undefined), breathsAt(1, undefined)]).toEqual([
      3, 3, 5, 5,
    ])
  })

  test('that are not counted last about as long as their breaths', () => {
    expect(told(laid(rounds({ amount: { breaths: 10, aboutS: 7 } })))).toEqual([['uncounted', 70]])
  })
})

test('a time is offered filled with sets of several sizes, each as it would be led, by what it leaves over', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 60, max: 1800 }),
      fc.integer({ min: 2, max: 12 }),
      fc.constantFrom(undefined, 'alternate' as const),
      (fillS, counts, nostrils) => {
        const section = rounds({
          pattern: inCounts(counts, 0, counts, 0),
          countedRounds: 4,
          ...(nostrils ? { nostrils } : {}),
        })
        const now = resolved(section)
        if (now.kind !== 'rounds') throw new Error('no rounds')
        const choices = fillChoices(now, fillS)
        expect(choices.length).toBeLessThanOrEqual(5)
        expect(choices.map(({ leftMs }) => leftMs)).toEqual(
          choices.map(({ leftMs }) => leftMs).toSorted((a, b) => a - b),
        )
        for (const { roundsPerSet, sets, leftMs } of choices) {
          const led = resolved({ ...section, amount: { fillS, roundsPerSet } })
          expect(led).toMatchObject({ sets: sets.map((one) => ({ rounds: one })), leftMs })
          expect(sectionMs(led)).toBe(fillS * 1000)
        }
      },
    ),
  )
})

describe('a slope', () => {
  const outs = (sets: number, to: number, everySets = 1) =>
    slopedPatterns(inCounts(4, 0, 4, 0), { part: 'out', byHalf: 1, everySets, to }, sets).map(({ out }) => out)

  test('goes to its limit, stays where there is time, and comes back', () => {
    expect(outs(7, 10)).toEqual([8, 9, 10, 10, 10, 9, 8])
    expect(outs(5, 16)).toEqual([8, 9, 10, 9, 8])
    expect(outs(8, 10, 2)).toEqual([8, 8, 9, 9, 10, 10, 9, 9])
  })

  test('comes back at least half way, changes by its step alone, and never passes its limit', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 9, max: 40 }),
        (sets, everySets, byHalf, to) => {
          const all = slopedPatterns(inCounts(4, 0, 4, 0), { part: 'out', byHalf, everySets, to }, sets)
          expect(all).toHaveLength(sets)
          const out = all.map((one) => one.out)
          const most = Math.max(...out)
          expect(most).toBeLessThanOrEqual(to)
          out.forEach((value, at) => {
            expect([0, byHalf]).toContain(Math.abs(value - (out[at - 1] ?? value)))
          })
          expect((out.at(-1) ?? 0) - 8).toBeLessThanOrEqual((most - 8) / 2)
        },
      ),
    )
  })

  test('changes the set it says, and the rounds of it', () => {
    const slope = { part: 'out' as const, byHalf: 2, everySets: 1, to: 12 }
    const stretches = laid(rounds({ slope, amount: { sets: 4, roundsPerSet: 1 }, leadInS: 0, restS: 0 }))
    expect(told(stretches.filter(({ part }) => part === 'out'))).toEqual([
      ['out', 4],
      ['out', 5],
      ['out', 6],
      ['out', 5],
    ])
  })
})

describe('a held breath', () => {
  const retention = (fields: Partial<Extract<Section, { kind: 'retention' }>> = {}): Section => ({
    kind: 'retention',
    id: 'h',
    held: 'empty',
    half: 24,
    lead: { in: 8, out: 12 },
    times: 1,
    ...fields,
  })

  test('follows the breath that leads to it, and natural breath follows it', () => {
    expect(told(laid(retention({ naturalAfterS: 40 })))).toEqual([
      ['leadIn', 6],
      ['in', 4],
      ['out', 6],
      ['empty', 12],
      ['natural', 40],
    ])
    expect(laid(retention({ held: 'full' })).map(({ part }) => part)).toEqual([
      'leadIn',
      'out',
      'in',
      'full',
      'natural',
    ])
  })

  test('has its locks taken and let go inside its length, a count each, and strokes in the still counts', () => {
    const locks = {
      on: ['chin' as const, 'belly' as const, 'root' as const],
      off: ['root' as const, 'belly' as const, 'chin' as const],
    }
    const stretches = laid(retention({ locks, strokes: { n: 6, pace: second } })).filter(({ part }) => part === 'empty')
    expect(stretches.map(({ lock, counts }) => [lock?.lock, lock?.does, counts])).toEqual([
      ['chin', 'on', 1],
      ['belly', 'on', 1],
      ['root', 'on', 1],
      [undefined, undefined, 6],
      ['root', 'off', 1],
      ['belly', 'off', 1],
      ['chin', 'off', 1],
    ])
    expect(stretches.filter(({ strokes }) => strokes).map(({ counts }) => counts)).toEqual([6])
    expect(sectionFacts(resolved(retention({ locks })))).toMatchObject({ longestHoldMs: 12_000, heldMs: 12_000 })
    // The belly lock belongs to the empty breath alone; too short for any, it is held without.
    const full = laid(retention({ locks, held: 'full' }))
    expect(full.some(({ lock }) => lock?.lock === 'belly')).toBe(false)
    expect(laid(retention({ locks, half: 8 })).filter(({ part }) => part === 'empty')).toHaveLength(1)
  })

  test('strokes go by their pace, with natural breath after each round', () => {
    const strokes: Section = {
      kind: 'strokes',
      id: 's',
      techniqueId: 'even-breath',
      pace: second,
      strokes: 20,
      rounds: 2,
    }
    expect(told(laid(strokes))).toEqual([
      ['strokes', 20],
      ['natural', 60],
      ['strokes', 20],
      ['natural', 60],
    ])
  })
})

describe('facts', () => {
  const block: readonly Section[] = [
    { kind: 'natural', id: 'a', breaths: 10 },
    rounds({ amount: { sets: 2, roundsPerSet: 6 } }),
    { kind: 'lesson', id: 'l', techniqueId: 'even-breath', lesson: 1, s: 60 },
    rounds({ id: 'b', pattern: inCounts(4, 4, 8, 0), amount: { sets: 1, roundsPerSet: 3 } }),
    { kind: 'retention', id: 'h', held: 'full', half: 10, lead: { in: 8, out: 8 }, times: 2 },
  ]

  test('say how long a section takes without laying it out, to the millisecond', () => {
    fc.assert(
      fc.property(breaths, (block) => {
        for (const section of block.sections.map(resolved))
          expect(sectionMs(section)).toBe(sectionFacts(section).totalMs)
      }),
      { numRuns: 100 },
    )
  })

  test('of a block are the sums and extremes of its sections’', () => {
    const each = block.map((section) => sectionFacts(resolved(section)))
    const all = blockFacts(block.map(resolved))
    const sum = (field: 'totalMs' | 'rounds' | 'breaths' | 'heldMs' | 'naturalMs') =>
      each.reduce((sumSoFar, facts) => sumSoFar + facts[field], 0)
    for (const field of ['totalMs', 'rounds', 'breaths', 'heldMs', 'naturalMs'] as const)
      expect(all[field]).toBe(sum(field))
    expect(all).toMatchObject({ longestHoldMs: 5000, steepest: 60 / 16, rounds: 17, breaths: 27 })
    expect(all.totalMs).toBe(block.reduce((ms, section) => ms + sumMs(laid(section)), 0))
  })

  test('a technique that is nowhere is refused by its field', () => {
    expect(resolveSection(rounds({ techniqueId: 'gone' }), shippedCatalog.techniques)).toMatchObject({
      code: 'UNKNOWN_TECHNIQUE',
      field: 'techniqueId',
    })
  })
})

describe('a section is refused', () => {
  test.each([
    ['with a time and a number of breaths', { kind: 'natural', id: 'a', s: 60, breaths: 10 }, 'TIME_OR_BREATHS'],
    ['with neither', { kind: 'natural', id: 'a' }, 'TIME_OR_BREATHS'],
    [
      'with stations and an amount',
      rounds({ stations: [{ place: 'front', rounds: 5 }], amount: { sets: 1, roundsPerSet: 1 } }),
      'STATIONS_ALONE',
    ],
    [
      'with a slope in a time to fill',
      rounds({ slope: { part: 'out', byHalf: 1, everySets: 1, to: 10 }, amount: { fillS: 60, roundsPerSet: 3 } }),
      'SLOPE_WITHOUT_SETS',
    ],
    [
      'with a list of nostrils that does not close',
      rounds({
        nostrils: [
          { does: 'in', through: 'left' },
          { does: 'in', through: 'right' },
        ],
      }),
      'NOSTRILS_OPEN',
    ],
    ['with a lock that is never let go', rounds({ locks: { on: ['chin', 'root'], off: ['chin'] } }), 'LOCKS_DIFFER'],
    [
      'with the chin lifted before the belly is let go',
      rounds({ locks: { on: ['chin', 'belly'], off: ['chin', 'belly'] } }),
      'CHIN_BEFORE_BELLY',
    ],
  ])('%s', (_, section, code) => {
    const read = sectionSchema.safeParse(section)
    expect(JSON.stringify(read.error?.issues ?? [])).toContain(code)
  })
})
