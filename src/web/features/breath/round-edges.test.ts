import type { Section } from '#model/section'
import { sectionSchema } from '#model/section'
import { resolveSection, roundLine } from '#core/breath'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { aRetention, someRounds } from '#testing/breath-documents'
import { inCounts } from '#testing/breath'
import { drawnHalf, edgesOf, redrawn, withPart } from './round-edges.ts'

const resolved = (section: Section) => orThrow(resolveSection(section, shippedCatalog.techniques))
const edges = (section: Section) => edgesOf(resolved(section), roundLine(resolved(section)))
const plain = someRounds({ pattern: inCounts(4, 2, 6, 0) })

test('each part has the edge it ends with, and nobody draws where nothing is counted', () => {
  expect(edges(plain).map(({ part, at, half }) => [part, at, half])).toEqual([
    ['in', 4, 8],
    ['full', 6, 4],
    ['out', 12, 12],
  ])
  expect(edges({ kind: 'natural', id: 'n', s: 60 })).toEqual([])
})

test('an edge is drawn by whole half-counts, an inhale in steps by all its steps, and a breath never to nothing', () => {
  const [inhale] = edges(plain)
  expect(inhale && [0.2, 0.3, 1, -9].map((by) => drawnHalf(inhale, by))).toEqual([8, 9, 10, 1])
  const stepped = edges({ ...plain, pattern: inCounts(6, 0, 6, 0), steps: { in: 3, pauseHalf: 2 } })
  expect(stepped[0]).toMatchObject({ part: 'in', half: 12, times: 3 })
  expect(stepped[0] && drawnHalf(stepped[0], 1)).toBe(18)
})

test('what is drawn is what the section gets, also of a held breath and the one before it', () => {
  const drawn = (section: Section, part: 'in' | 'full' | 'out' | 'empty', half: number) =>
    withPart(section, resolved(section), part, half)
  expect(drawn(plain, 'out', 15)).toMatchObject({ pattern: { in: 8, full: 4, out: 15, empty: 0 } })
  const held = aRetention({ held: 'empty', half: 16, lead: { in: 8, out: 8 } })
  expect(drawn(held, 'empty', 1)).toMatchObject({ half: 2 })
  expect(drawn(held, 'out', 12)).toMatchObject({ lead: { in: 8, out: 12 } })
  expect(drawn({ kind: 'natural', id: 'n', s: 60 }, 'in', 4)).toBeUndefined()
  for (const made of [drawn(plain, 'in', 1), drawn(held, 'empty', 128)]) expect(sectionSchema.parse(made)).toEqual(made)
})

test('while it is drawn, what comes after moves along', () => {
  const line = redrawn(roundLine(resolved(plain)), 'in', 1.5)
  expect(line.map(({ part, from, to }) => [part, from, to])).toEqual([
    ['in', 0, 6],
    ['full', 6, 8],
    ['out', 8, 14],
  ])
})
