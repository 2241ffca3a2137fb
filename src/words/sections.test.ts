import type { Section } from '#model/section'
import { blockFacts, patternFromRatio, resolveSection } from '#core/breath'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { inCounts } from '#testing/breath'
import { factRows, fillWords, sectionLine, sectionName, sectionsLine, sectionsTime } from './sections.ts'
import { ratioMend } from './ratios.ts'

const resolved = (section: Section) => orThrow(resolveSection(section, shippedCatalog.techniques))
const ratio = (...counts: number[]): string => counts.join('\u202f:\u202f')

test.each<[Section, string, string]>([
  [{ kind: 'natural', id: 's', s: 60 }, 'Natural breath', 'Natural breath'],
  [{ kind: 'natural', id: 's', s: 60, techniqueId: 'belly-breath' }, 'Belly breath', 'Belly breath'],
  [
    { kind: 'lesson', id: 's', techniqueId: 'three-part-breath', lesson: 4, s: 60 },
    'Three-part breath, lesson 4',
    'Three-part breath, lesson 4',
  ],
  [
    { kind: 'rounds', id: 's', techniqueId: 'even-breath', amount: { rounds: 12, roundsPerSet: 5 } },
    `Even breath ${ratio(4, 4)}`,
    `Even breath ${ratio(4, 4)}, 12 rounds`,
  ],
  [
    { kind: 'rounds', id: 's', techniqueId: 'three-part-breath', amount: { breaths: 10, aboutS: 8 } },
    'Three-part breath',
    'Three-part breath, 10 breaths of about 8 s',
  ],
  [
    {
      kind: 'rounds',
      id: 's',
      techniqueId: 'three-part-breath',
      pattern: inCounts(4, 0, 4, 0),
      stations: [
        { place: 'front', rounds: 5 },
        { place: 'back', rounds: 5 },
      ],
    },
    `Three-part breath ${ratio(4, 4)}`,
    `Three-part breath ${ratio(4, 4)}, 2 places`,
  ],
  [
    { kind: 'retention', id: 's', held: 'empty', half: 15, lead: { in: 8, out: 8 }, times: 2 },
    'Held empty 7.5',
    'Held empty 7.5, 2 times',
  ],
  [
    {
      kind: 'strokes',
      id: 's',
      techniqueId: 'short-exhales',
      pace: { num: 1000, den: 1 },
      strokes: 20,
      rounds: 1,
    },
    'Short exhales',
    'Short exhales, 1 round',
  ],
])('a section is called by what is done in it, and how much', (section, name, line) => {
  expect([sectionName(resolved(section)), sectionLine(resolved(section))]).toEqual([name, line])
})

test('a block is told by what is led in it; natural breath alone by that', () => {
  const even = resolved({ kind: 'rounds', id: 'e', techniqueId: 'even-breath' })
  const quiet = resolved({ kind: 'natural', id: 'q', s: 30 })
  expect(sectionsLine([quiet])).toBe('natural breath')
  expect(sectionsLine([quiet, even])).toBe(`${ratio(4, 4)}, 30 rounds`)
  expect(sectionsTime([quiet.section, even.section])).toBe('0:30')
})

test('what there is none of is not told', () => {
  const quiet = resolved({ kind: 'natural', id: 'q', s: 30 })
  expect(factRows(blockFacts([quiet]))).toEqual([
    { name: 'Natural breath in all', figure: '0:30' },
    { name: 'In all', figure: '0:30' },
  ])
})

test.each([
  [{ text: 'four six' }, /two to four numbers/],
  [{ text: '0:6' }, /Breathing in takes/],
  [{ text: '4:0' }, /Breathing out takes/],
  [{ text: '1:1.25', baseCounts: 3 }, /A base of 2 or 4 does/],
  [{ text: '4:80' }, /at most 64 counts/],
])('a ratio that is none is told with what to type', (input, mend) => {
  const read = patternFromRatio(input)
  expect(read.ok ? '' : ratioMend(read)).toMatch(mend)
})

test('what fills a time is told by its sets and what is left of it', () => {
  const words = (roundsPerSet: number, sets: number[], leftMs = 0) => fillWords({ roundsPerSet, sets, leftMs })
  expect(words(9, [9, 9, 9], 27_000)).toBe('3 sets of 9; 0:27 left over')
  expect(words(6, [6, 4], 10_000)).toBe('one set of 6, one of 4; 0:10 left over')
  expect(words(12, [12])).toBe('one set of 12')
})
