import { bestSubset } from './best-subset.ts'
import type { Candidate } from './candidates.ts'

const candidate = (details: Pick<Candidate, 'index' | 'weight' | 'ownMs' | 'heldS'>): Candidate => ({
  ...details,
  must: false,
  targets: [],
  counters: undefined,
  mayLeave: false,
  changeS: () => 0,
  leaves: (from) => from,
})

test('hours of planned holds never count as weight: ten that may go outweigh three of two hours that rather stay', () => {
  const long = [0, 1, 2].map((index) => candidate({ index, weight: 3, ownMs: 100_000, heldS: 7200 }))
  const short = Array.from({ length: 10 }, (_, at) => candidate({ index: 3 + at, weight: 1, ownMs: 30_000, heldS: 60 }))
  const best = bestSubset([...long, ...short], { lengthMs: 300_000, keepTargets: [] })
  expect(best).toMatchObject({ weight: 10, heldS: 600, kept: short.map(({ index }) => index) })
})

test('of choices of one weight the longer held is taken, of those the one with less change', () => {
  const of = (heldS: number, changeS: number, index: number): Candidate => ({
    ...candidate({ index, weight: 3, ownMs: 100_000, heldS }),
    changeS: () => changeS,
  })
  const kept = (...candidates: Candidate[]) => bestSubset(candidates, { lengthMs: 150_000, keepTargets: [] })?.kept
  expect(kept(of(60, 0, 0), of(90, 30, 1))).toEqual([1])
  expect(kept(of(90, 30, 0), of(90, 10, 1))).toEqual([1])
  expect(kept(of(90, 10, 0), of(90, 10, 1))).toEqual([0])
})
