import fc from 'fast-check'
import type { FormerBreathBlock } from '#model/former-block'
import { sectionsSchema } from '#model/section'
import { sectionsOfFormer } from '#model/sections-of-former'
import { layOutSection, resolveSection } from '#core/breath'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { formerBreaths } from '#testing/arbitraries'

const lengthMs = (block: Parameters<typeof sectionsOfFormer>[0]): number =>
  sectionsOfFormer(block)
    .flatMap((section) => layOutSection(orThrow(resolveSection(section, shippedCatalog.techniques))))
    .reduce((sum, stretch) => sum + stretch.lengthMs, 0)

/** Nostrils in turn were counted a breath each, twelve of them where nothing was said. */
const formerAmounts: Readonly<Record<string, FormerBreathBlock['amount']>> = {
  'nostrils-in-turn': { sets: 1, roundsPerSet: 12 },
}

/** What a block of schema 1 took: natural breath around sets of rounds, or what filled a time, as they were led. */
function formerMs(block: FormerBreathBlock): number {
  const technique = shippedCatalog.techniques.get(block.techniqueId)
  if (!technique) throw new Error(`no technique ${block.techniqueId}`)
  const amount = block.amount ?? formerAmounts[block.techniqueId] ?? technique.amount
  const around = ((block.naturalBeforeS ?? 0) + (block.naturalAfterS ?? 0)) * 1000
  if ('naturalS' in amount) return around + amount.naturalS * 1000
  if ('fillS' in amount) return around + amount.fillS * 1000
  const isPlanned = block.pattern !== undefined || block.amount !== undefined
  const isCounted = technique.counted || (technique.pattern !== undefined && isPlanned)
  const pattern = isCounted ? (block.pattern ?? technique.pattern) : undefined
  if (!pattern) return around
  const halfCounts = pattern.in + pattern.full + pattern.out + pattern.empty
  const { num, den } = block.pace ?? technique.pace
  const countedMs = Math.floor((amount.sets * amount.roundsPerSet * halfCounts * num) / (2 * den))
  const restMs = (block.restBetweenSetsS ?? technique.restBetweenSetsS) * 1000
  return around + countedMs + (amount.sets - 1) * restMs
}

const block = (fields: object) => ({ kind: 'breath' as const, id: 'b', techniqueId: 'even-breath', ...fields })

test('every former block becomes sections of its own length, to the millisecond, that can be kept', () => {
  fc.assert(
    fc.property(formerBreaths, (fields) => {
      const former = { ...fields, id: 'b' }
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
    { kind: 'natural', id: 'before', s: 20 },
    { kind: 'natural', id: 'breath', s: 90, techniqueId: 'even-breath' },
  ])
})
