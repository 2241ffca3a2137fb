import type { RoundsSection, Section } from '#model/section'
import { resolveSection, roundLine } from '#core/breath'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { inCounts, second } from '#testing/breath'

const line = (section: Section) => roundLine(orThrow(resolveSection(section, shippedCatalog.techniques)))
const rounds = (fields: Partial<RoundsSection>): RoundsSection => ({
  kind: 'rounds',
  id: 'r',
  techniqueId: 'even-breath',
  pace: second,
  amount: { sets: 1, roundsPerSet: 3 },
  ...fields,
})
const drawn = (section: Section) => line(section).map(({ part, from, to, fill }) => [part, from, to, ...fill])

test('the round rises with the inhale, stands while it is held, and falls with the exhale', () => {
  expect(drawn(rounds({ pattern: inCounts(4, 2, 6, 1) }))).toEqual([
    ['in', 0, 4, 0, 1],
    ['full', 4, 6, 1, 1],
    ['out', 6, 12, 1, 0],
    ['empty', 12, 13, 0, 0],
  ])
})

test('an inhale in steps rises by as much each time and stands in between', () => {
  const parts = drawn(rounds({ pattern: inCounts(6, 0, 6, 0), steps: { in: 3, pauseHalf: 2 } }))
  expect(parts.map(([part, from, to]) => [part, from, to])).toEqual([
    ['in', 0, 2],
    ['pause', 2, 3],
    ['in', 3, 5],
    ['pause', 5, 6],
    ['in', 6, 8],
    ['out', 8, 14],
  ])
  const [, pause, , later] = parts
  expect(pause?.slice(3)).toEqual([1 / 3, 1 / 3])
  expect(later?.slice(3)).toEqual([2 / 3, 2 / 3])
  expect(parts.at(-1)?.slice(3)).toEqual([1, 0])
})

test('a round of nostrils has both its breaths, each with its side', () => {
  expect(line(rounds({ nostrils: 'alternate', pattern: inCounts(3, 0, 3, 0) })).map(({ through }) => through)).toEqual([
    'left',
    'right',
    'right',
    'left',
  ])
})

test('a held breath by itself is drawn from the breath that leads to it; where nobody counts there is no line', () => {
  const held: Section = { kind: 'retention', id: 'h', held: 'full', half: 12, lead: { in: 8, out: 8 }, times: 3 }
  expect(drawn(held).map(([part]) => part)).toEqual(['out', 'in', 'full'])
  expect(line({ kind: 'natural', id: 'n', s: 60 })).toEqual([])
})
