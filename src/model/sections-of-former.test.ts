import fc from 'fast-check'
import { sectionsSchema } from '#model/section'
import { sectionsOfFormer } from '#model/sections-of-former'
import { layOutSection, resolveSection } from '#core/breath'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { breaths } from '#testing/arbitraries'
import { aSession } from '#testing/sessions'

const lengthMs = (block: Parameters<typeof sectionsOfFormer>[0]): number =>
  sectionsOfFormer(block)
    .flatMap((section) => layOutSection(orThrow(resolveSection(section, shippedCatalog.techniques))))
    .reduce((sum, stretch) => sum + stretch.lengthMs, 0)

/** What it takes as blocks of schema 1 are compiled. */
const formerMs = (block: Parameters<typeof sectionsOfFormer>[0]): number =>
  orThrow(compileTimeline(aSession([block], { lengthS: 14_400 }), shippedCatalog))
    .segments.filter(({ doing }) => doing.kind === 'breath')
    .reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0)

const block = (fields: object) => ({ kind: 'breath' as const, id: 'b', techniqueId: 'even-breath', ...fields })

test('every former block becomes sections of its own length, to the millisecond, that can be kept', () => {
  fc.assert(
    fc.property(breaths, (fields) => {
      const former = { ...fields, id: 'b' }
      // What takes longer than a session may is refused before it is laid out.
      const timeline = compileTimeline(aSession([former], { lengthS: 14_400 }), shippedCatalog)
      fc.pre(timeline.ok)
      expect(lengthMs(former)).toBe(formerMs(former))
      const sections = sectionsOfFormer(former)
      if (sections.length > 0) expect(sectionsSchema.parse(sections)).toEqual(sections)
    }),
    { numRuns: 100 },
  )
})

test.each([
  ['single breaths with rests between', { amount: { sets: 3, roundsPerSet: 1 } }],
  ['an odd number at an odd pace', { amount: { sets: 3, roundsPerSet: 5 }, pace: { num: 1001, den: 2 } }],
  ['its usual number', {}],
  ['a time to fill', { amount: { fillS: 200, roundsPerSet: 5 } }],
])('nostrils in turn keep their length with %s', (_, fields) => {
  const former = block({ techniqueId: 'nostrils-in-turn', ...fields })
  expect(lengthMs(former)).toBe(formerMs(former))
})

test('a round of nostrils is two of the breaths that were counted; one left over is natural breath', () => {
  const former = block({ techniqueId: 'nostrils-in-turn', amount: { sets: 2, roundsPerSet: 5 } })
  expect(sectionsOfFormer(former)).toMatchObject([
    { kind: 'rounds', nostrils: 'alternate', amount: { sets: 2, roundsPerSet: 2 } },
    { kind: 'natural', breaths: 2 },
  ])
})

test('what was left to the technique still is, and what is led as before has no lead-in', () => {
  expect(sectionsOfFormer(block({}))).toEqual([
    { kind: 'rounds', id: 'breath', techniqueId: 'even-breath', leadInS: 0, wayOutS: 0 },
  ])
  expect(sectionsOfFormer(block({ naturalBeforeS: 20, amount: { naturalS: 90 } }))).toEqual([
    { kind: 'natural', id: 'before', s: 20, techniqueId: 'even-breath' },
    { kind: 'natural', id: 'breath', s: 90, techniqueId: 'even-breath' },
  ])
})
