import fc from 'fast-check'
import type { Section } from '#model/section'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { inCounts, second } from '#testing/breath'
import { layOutBlock, resolveSection, sayings } from '#core/breath'

type Rounds = Extract<Section, { kind: 'rounds' }>
const rounds = (fields: Partial<Rounds> = {}): Section => ({
  kind: 'rounds',
  id: 'r',
  techniqueId: 'even-breath',
  pattern: inCounts(4, 0, 4, 0),
  pace: second,
  amount: { sets: 1, roundsPerSet: 2 },
  countedRounds: 20,
  restS: 30,
  ...fields,
})
const natural = (s: number, attend?: string): Section => ({
  kind: 'natural',
  id: 'n',
  s,
  ...(attend === undefined ? {} : { attend }),
})
const resolved = (sections: readonly Section[]) =>
  sections.map((section) => orThrow(resolveSection(section, shippedCatalog.techniques)))

/** What is said, at seconds from the block's start. */
function said(sections: readonly Section[], hand?: 'left' | 'right'): (readonly [number, string])[] {
  const all = resolved(sections)
  const starts = startsOf(sections)
  return sayings(all, hand).map(
    ({ stretch, atMs, text = '', sound = '' }) => [((starts[stretch] ?? NaN) + atMs) / 1000, text || sound] as const,
  )
}
function startsOf(sections: readonly Section[]): number[] {
  let atMs = 0
  return layOutBlock(resolved(sections)).map(({ lengthMs }) => {
    atMs += lengthMs
    return atMs - lengthMs
  })
}

test('counts are announced in the natural breath before them, and the breath is let finish', () => {
  expect(said([natural(60, 'The breath at the nose'), rounds()])).toEqual([
    [0, 'The breath at the nose'],
    [52, 'Finish the breath you are in. Even breath: in 4, out 4'],
    [60, 'Breathe out'],
  ])
})

test('at the start of a block they stand with its first words', () => {
  expect(said([rounds({ say: 'Sit tall' })])).toEqual([[0, 'Sit tall. Even breath: in 4, out 4. Breathe out']])
})

test('a held breath is announced with its length and the way out of it, and counted down inside', () => {
  const hold: Section = { kind: 'retention', id: 'h', held: 'empty', half: 16, lead: { in: 8, out: 8 }, times: 1 }
  expect(said([natural(30), hold])).toEqual([
    [0, 'Natural breath'],
    [22, 'Finish the breath you are in. Then hold empty for 8 counts, or less: breathe whenever you wish'],
    [30, 'Breathe out'],
    [47, '5'],
    [48, '4'],
    [49, '3'],
    [50, '2'],
    [51, '1'],
    [52, 'The next breath comes unhurried'],
  ])
  expect(said([natural(30), { ...hold, countDown: 'bowl' }])).toContainEqual([52, 'bowl'])
  // Of three counts all but the first.
  expect(said([{ ...hold, half: 6 }]).filter(([, text]) => /^\d$/.test(text))).toEqual([
    [15, '2'],
    [16, '1'],
  ])
})

test('its count goes on over locks, which are named before it and not in it', () => {
  const locks = { on: ['chin' as const, 'root' as const], off: ['root' as const, 'chin' as const] }
  const hold: Section = { kind: 'retention', id: 'h', held: 'full', half: 16, lead: { in: 8, out: 8 }, times: 1, locks }
  const words = said([natural(30), hold])
  expect(words[1]?.[1]).toContain('Then hold full for 8 counts with the chin and root locks, or less')
  expect(words.filter(([, text]) => /^\d$/.test(text)).map(([at]) => at)).toEqual([47, 48, 49, 50, 51])
})

test('a set that changes is announced in the rest before it', () => {
  const slope = { part: 'out' as const, byHalf: 2, everySets: 1, to: 10 }
  const words = said([rounds({ slope, amount: { sets: 3, roundsPerSet: 1 } })]).map(([, text]) => text)
  expect(words).toEqual([
    'Even breath: in 4, out 4. Breathe out',
    'Natural breath',
    'in 4, out 5',
    'Breathe out',
    'Natural breath',
    'in 4, out 4',
    'Breathe out',
  ])
})

test('nostrils are said with the open one first, the student’s own side, then the hand', () => {
  const inTurn = [rounds({ nostrils: 'alternate', amount: { sets: 1, roundsPerSet: 1 }, leadInS: 0 })]
  expect(said(inTurn).map(([, text]) => text)).toEqual([
    'Even breath: in 4, out 4',
    'in left · thumb closes right',
    'out right · ring finger closes left',
    'in right · ring finger closes left',
    'out left · thumb closes right',
  ])
  expect(said(inTurn, 'left')[1]?.[1]).toBe('in left · ring finger closes right')
})

test('the next place is said in the last exhale at the one before', () => {
  const stations = ['front', 'back'].map((place) => ({ place, rounds: 2 }))
  const section: Section = {
    kind: 'rounds',
    id: 's',
    techniqueId: 'even-breath',
    pattern: inCounts(4, 0, 4, 0),
    pace: second,
    stations,
    shown: 1,
    closed: true,
    restS: 20,
    countedRounds: 20,
  }
  expect(said([section])).toEqual([
    [0, 'Shown first. front. Even breath: in 4, out 4. Breathe out'],
    [10, 'Next: back'],
    [22, 'Natural breath'],
    [34, 'Eyes closed. front'],
    [42, 'Breathe out'],
    [60, 'Next: back'],
  ])
})

test('nothing is said in a held breath but its own count, whatever the block', () => {
  const sections = fc.oneof(
    fc.record({ kind: fc.constant('natural' as const), id: fc.constant('n'), s: fc.integer({ min: 1, max: 90 }) }),
    fc
      .record({
        full: fc.integer({ min: 0, max: 8 }),
        empty: fc.integer({ min: 0, max: 4 }),
        sets: fc.integer({ min: 1, max: 4 }),
      })
      .map(({ full, empty, sets }) =>
        rounds({ pattern: { in: 8, full, out: 8, empty }, amount: { sets, roundsPerSet: 2 }, nostrils: 'alternate' }),
      ),
    fc
      .record({ half: fc.integer({ min: 2, max: 40 }), held: fc.constantFrom('full' as const, 'empty' as const) })
      .map(({ half, held }): Section => ({
        kind: 'retention',
        id: 'h',
        held,
        half,
        lead: { in: 8, out: 8 },
        times: 2,
      })),
  )
  fc.assert(
    fc.property(fc.array(sections, { minLength: 1, maxLength: 6 }), (block) => {
      const stretches = layOutBlock(resolved(block))
      for (const { stretch, atMs, text } of sayings(resolved(block))) {
        const here = stretches[stretch]
        expect(atMs).toBeLessThanOrEqual(here?.lengthMs ?? -1)
        if (here?.part === 'full' || here?.part === 'empty') expect(text).toMatch(/^[1-5]$/)
      }
    }),
  )
})
