import fc from 'fast-check'
import type { Level } from '#model/common'
import { propKinds } from '#model/prop'
import type { FoldOp, SetUpItem } from '#model/set-up'
import { bodyParts, propTurns } from '#model/set-up'
import { orThrow } from '#core/result'
import { leastAssignment } from './assignment.ts'
import { changeover } from './index.ts'
import { piecesOf } from './pieces.ts'

const ops = (...named: FoldOp['op'][]): FoldOp[] => named.map((op) => ({ op }) as FoldOp)
const std = ops('halfL', 'halfW', 'halfL')
const narrow = ops('halfL', 'halfW', 'halfL', 'halfL')
const roll = ops('halfL', 'halfW', 'rollL')
const quarter = ops('halfL', 'halfW')

let ids = 0
const item = (kind: SetUpItem['kind'], under: SetUpItem['under'], rest: Partial<SetUpItem> = {}): SetUpItem => ({
  id: `i${String((ids += 1))}`,
  kind,
  count: 1,
  under,
  ...rest,
})
const eyes = item('eyePillow', 'eyes', { lies: 'over' })
const incline = [
  item('blanket', 'pelvis', { folds: std }),
  item('foamBlock', 'upperBack', { turn: 'side' }),
  item('rectBolster', 'upperBack', { turn: 'lengthwise' }),
  item('blanket', 'head', { folds: std }),
  item('blanket', 'knees', { folds: roll }),
]
const twist = [item('rectBolster', 'chest', { turn: 'lengthwise' }), item('blanket', 'pelvis', { folds: std })]
const chair = [
  item('chair', 'shins'),
  item('blanket', 'pelvis', { folds: narrow }),
  item('blanket', 'head', { folds: quarter }),
  eyes,
]
const final = [item('rectBolster', 'knees', { turn: 'crosswise' }), item('blanket', 'head', { folds: quarter }), eyes]

type Given = Parameters<typeof changeover>[0]
const change = (from: readonly SetUpItem[], to: readonly SetUpItem[], more: Partial<Given> = {}) =>
  orThrow(changeover({ from, to, level: 'regular', ...more }))

test.each([
  ['C1', incline, twist, { s: 14, brought: 0, aside: 3, moved: 1, trips: 2, lifts: 4 }],
  ['C2', twist, chair, { s: 33, brought: 3, aside: 1, moved: 1, trips: 2, lifts: 4 }],
  ['C3', chair, final, { s: 22, brought: 1, aside: 2, moved: 0, trips: 2, lifts: 3 }],
  ['C4', [], incline, { s: 20, brought: 5, aside: 0, moved: 0, trips: 3, lifts: 4 }],
  ['C6', incline, incline, { s: 0, brought: 0, aside: 0, moved: 0, trips: 0, lifts: 0 }],
  [
    'C7',
    incline,
    incline.filter(({ kind }) => kind !== 'foamBlock'),
    { s: 8, brought: 0, aside: 1, moved: 1, lifts: 1 },
  ],
])('%s', (_, from, to, wanted) => {
  expect(change(from, to)).toMatchObject(wanted)
})

test('C5: new people take half as long again, experienced ones less', () => {
  expect(change(incline, [], { level: 'new' }).s).toBe(22.5)
  expect(change(incline, [], { level: 'experienced' }).s).toBeCloseTo(12, 9)
})

test('where the base position changes nothing stays, and nothing is lifted: all are off', () => {
  expect(change(final, final, { baseChanges: true })).toMatchObject({ s: 15, moved: 3, brought: 0, lifts: 0 })
})

test('what is brought is folded from how it is kept, where that is known', () => {
  const kept = { blanket: ops('halfL', 'halfW', 'halfL', 'halfL', 'halfW') }
  // Kept in five folds: one undone for the narrow one, three for the quarter; the rest as ever.
  expect(change([], chair, { kept }).s).toBe(15 + (4 + 3) + (4 + 9) + 4)
})

test('what is absent equals what is usual: a turn, folds, the packing of a roll', () => {
  const bare = [item('rectBolster', 'knees'), item('blanket', 'head', { folds: ops('rollL') })]
  const written = [
    item('rectBolster', 'knees', { turn: 'crosswise', folds: [] }),
    item('blanket', 'head', { folds: [{ op: 'rollL', packing: 0.9, coreMm: 0 }], note: 'as usual' }),
  ]
  expect(change(bare, written)).toMatchObject({ s: 0, actions: [] })
})

test('two piles and one under the same part lie beside each other; the wall and mats are places', () => {
  const beside = [item('corkBlock', 'knees', { count: 2, piles: 2 }), item('blanket', 'knees', { folds: std })]
  expect(piecesOf(beside).map(({ on }) => on)).toEqual([[], [], []])
  expect(piecesOf([item('wall', 'feet'), item('mat', 'pelvis')])).toEqual([])
})

test('it is done off the body, from under it, under it and on it, part by part from the head', () => {
  const does = change(chair, final).actions.map(({ does: what, kind, part }) => `${what} ${kind} ${String(part)}`)
  expect(does).toEqual(['aside blanket pelvis', 'aside chair shins', 'brings rectBolster knees'])
  const back = change(final, chair).actions.map(({ does: what, kind, part }) => `${what} ${kind} ${String(part)}`)
  expect(back).toEqual(['aside rectBolster knees', 'brings blanket pelvis', 'brings chair shins'])
  expect(change(twist, chair).actions.map(({ does: what, part, k }) => [what, part, k])).toEqual([
    ['aside', 'chest', undefined],
    ['brings', 'head', undefined],
    ['refolds', 'pelvis', 1],
    ['brings', 'shins', undefined],
    ['brings', 'eyes', undefined],
  ])
})

test('a kind or part that nobody knows is refused with its field', () => {
  const odd = [...twist, { ...item('blanket', 'head'), kind: 'hammock' as 'blanket' }]
  expect(changeover({ from: odd, to: [], level: 'regular' })).toMatchObject({ code: 'UNKNOWN', field: 'from.2.kind' })
  const tail = [{ ...item('blanket', 'head'), under: 'tail' as 'head' }]
  expect(changeover({ from: [], to: tail, level: 'regular' })).toMatchObject({ code: 'UNKNOWN', field: 'to.0.under' })
})

const folds = fc.array(fc.constantFrom(...ops('halfL', 'halfW', 'thirdL', 'rollL')), { maxLength: 3 })
const items = fc.array(
  fc
    .record({
      kind: fc.constantFrom('blanket' as const, 'foamBlock' as const, 'chair' as const, 'eyePillow' as const),
      under: fc.constantFrom('head' as const, 'knees' as const, 'pelvis' as const),
      turn: fc.option(fc.constantFrom(...propTurns), { nil: undefined }),
      lies: fc.option(fc.constantFrom('over' as const, 'around' as const), { nil: undefined }),
      folds,
      piles: fc.constantFrom(1, 2),
    })
    .map(({ kind, under, turn, lies, piles, ...rest }): SetUpItem => ({
      ...item(kind, under, { ...rest, count: piles, piles }),
      ...(turn ? { turn } : {}),
      ...(lies ? { lies } : {}),
    })),
  { maxLength: 4 },
)
const levels: readonly Level[] = ['new', 'regular', 'experienced']

test('property: pieces are neither lost nor handled twice, and nothing changes where nothing does', () => {
  fc.assert(
    fc.property(items, items, fc.constantFrom(...levels), fc.boolean(), (from, to, level, baseChanges) => {
      const { brought, aside, moved, actions, s, lifts } = change(from, to, { level, baseChanges })
      const [before, after] = [piecesOf(from).length, piecesOf(to).length]
      expect(after - before).toBe(brought - aside)
      expect(actions).toHaveLength(brought + aside + moved)
      expect(moved).toBeLessThanOrEqual(Math.min(before, after))
      expect(s === 0).toBe(actions.length === 0)
      if (!baseChanges && actions.some(({ part, does }) => part && does !== 'brings')) expect(s).toBeGreaterThan(0)
      if (actions.length === 0) expect(lifts).toBe(0)
      expect(change(from, from, { level }).s).toBe(0)
    }),
  )
})

/** Kinds that differ, so that a pile's action tells which piece of it is meant. */
const differing = ['blanket', 'foamBlock', 'rectBolster', 'seatCushion', 'towel', 'longPillow'] as const
const piled = fc.shuffledSubarray([...differing]).map((kinds) => kinds.map((kind) => item(kind, 'pelvis')))

test('property: nothing is taken from under something that still lies on it, nor laid under what lies there', () => {
  fc.assert(
    fc.property(piled, piled, (from, to) => {
      const { actions } = change(from, to)
      const touched = new Set(actions.map(({ kind }) => kind))
      const pile = from.map(({ kind }) => kind)
      // Off: whatever is put aside or moved goes from the top; above it nothing may stay.
      const lowest = pile.findIndex((kind) => touched.has(kind))
      if (lowest >= 0) expect(pile.slice(lowest).every((kind) => touched.has(kind))).toBe(true)
      const aside = actions.filter(({ does }) => does === 'aside').map(({ kind }) => pile.indexOf(kind))
      expect(aside).toEqual(aside.toSorted((a, b) => b - a))
      // On: what stayed is the floor of it, and the rest comes up to the pile that is wanted.
      const kept = pile.filter((kind) => !touched.has(kind))
      const laid = actions.filter(({ does }) => does !== 'aside').map(({ kind }) => kind)
      expect([...kept, ...laid]).toEqual(to.map(({ kind }) => kind))
      // All that is put aside comes before all that is laid down.
      const runs = actions.map(({ does }) => (does === 'aside' ? 0 : 1))
      expect(runs).toEqual(runs.toSorted())
    }),
  )
})

/** The least total of all assignments, by trying every one. */
function leastOfAll(costs: readonly (readonly number[])[], row = 0, used: readonly number[] = []): number {
  if (row === costs.length) return 0
  return Math.min(
    ...costs.map((_, column) =>
      used.includes(column)
        ? Infinity
        : (costs[row]?.[column] ?? Infinity) + leastOfAll(costs, row + 1, [...used, column]),
    ),
  )
}

test('property: matching equals trying all', () => {
  const square = fc
    .integer({ min: 1, max: 5 })
    .chain((size) =>
      fc.array(fc.array(fc.nat(20), { minLength: size, maxLength: size }), { minLength: size, maxLength: size }),
    )
  fc.assert(
    fc.property(square, (costs) => {
      const columns = leastAssignment(costs)
      expect([...columns].sort((a, b) => a - b)).toEqual(costs.map((_, at) => at))
      expect(columns.reduce((sum, column, row) => sum + (costs[row]?.[column] ?? 0), 0)).toBe(leastOfAll(costs))
    }),
  )
})

test('every kind and every part of the model is known', () => {
  const all = [...propKinds.map((kind) => item(kind, 'head')), ...bodyParts.map((part) => item('blanket', part))]
  expect(changeover({ from: all, to: [], level: 'regular' }).ok).toBe(true)
})
