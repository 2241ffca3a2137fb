import fc from 'fast-check'
import type { PropKind } from '#model/prop'
import { propKinds as allKinds } from '#model/prop'
import { bodyParts, setUpItemSchema } from '#model/set-up'
import type { SetUpItem } from '#model/set-up'
import { namedFolds, propKinds as kinds } from '#library/prop-kinds'
import { broughtTo, changed, stepped, waysOf, withItem, without } from './item-edits.ts'

const item = (id: string, kind: PropKind, more: Partial<SetUpItem> = {}): SetUpItem => ({
  id,
  kind,
  count: 1,
  under: 'head',
  ...more,
})
const ids = (items: readonly SetUpItem[]) => items.map(({ id }) => id)

test('what is added lies on top at its part, folded or laid as it usually is', () => {
  const items = [item('a', 'foamBlock'), item('b', 'rectBolster', { under: 'knees' })]
  const withBlanket = withItem(items, 'blanket', 'head', kinds)
  expect(withBlanket[1]).toMatchObject({ kind: 'blanket', under: 'head', folds: namedFolds.standard })
  expect(withItem([], 'strap', 'pelvis', kinds)[0]).toMatchObject({ lies: 'around' })
  expect(withItem([], 'wall', 'feet', kinds)[0]).toMatchObject({ lies: 'behind' })
  expect(withItem([], 'eyePillow', 'eyes', kinds)[0]).toMatchObject({ lies: 'over' })
  expect(withItem([], 'foamBlock', 'knees', kinds)[0]).not.toHaveProperty('lies')
})

test('a change of kind leaves behind the folds, turns and heaps that mean nothing for it', () => {
  const chair = item('a', 'chair', { under: 'upperBack', turn: 'upturned' })
  const blanket = item('b', 'blanket', { folds: [{ op: 'halfL' }] })
  const block = item('c', 'foamBlock', { under: 'knees', turn: 'lengthwise', count: 2, piles: 2 })
  const all = [chair, blanket, block]
  expect(changed(all, 'a', { kind: 'rectBolster' }, kinds)[0]).toEqual({
    ...item('a', 'rectBolster'),
    under: 'upperBack',
  })
  expect(changed(all, 'b', { kind: 'longPillow' }, kinds)[1]).toEqual(item('b', 'longPillow'))
  expect(changed(all, 'c', { kind: 'rectBolster' }, kinds)[2]).toMatchObject({ turn: 'lengthwise', piles: 2 })
  expect(changed(all, 'c', { under: 'pelvis' }, kinds).at(-1)).not.toHaveProperty('piles')
  expect(changed(all, 'a', { kind: 'blanket' }, kinds)[0]).toMatchObject({ folds: namedFolds.standard })
  // A sheet that lies open stays open.
  expect(changed([item('d', 'towel')], 'd', { count: 2 }, kinds)[0]).toEqual({ ...item('d', 'towel'), count: 2 })
})

test('a heap each side takes an even count; a strap is never under anything', () => {
  const [two] = changed([item('a', 'foamBlock', { under: 'knees', count: 3 })], 'a', { piles: 2 }, kinds)
  expect(two).toMatchObject({ count: 4, piles: 2 })
  expect(waysOf('strap', kinds)).not.toContain('under')
  const [around] = changed([item('a', 'foamBlock')], 'a', { kind: 'strap' }, kinds)
  expect(around).toMatchObject({ lies: 'around' })
})

test('one goes nearer the floor or the body among what is at its part, and no further', () => {
  const items = [item('a', 'foamBlock'), item('b', 'rectBolster', { under: 'knees' }), item('c', 'blanket')]
  expect(ids(stepped(items, 'a', 1))).toEqual(['c', 'b', 'a'])
  expect(stepped(items, 'a', -1)).toBe(items)
  expect(stepped(items, 'b', 1)).toBe(items)
  expect(ids(stepped(stepped(items, 'a', 1), 'a', -1))).toEqual(['a', 'b', 'c'])
})

test('one that is dragged to another comes under its part, before or after it', () => {
  const items = [item('a', 'foamBlock'), item('b', 'rectBolster', { under: 'knees' }), item('c', 'blanket')]
  const before = broughtTo(items, 'c', 'b', 'before', kinds)
  expect(ids(before)).toEqual(['a', 'c', 'b'])
  expect(before[1]?.under).toBe('knees')
  expect(ids(broughtTo(items, 'a', 'c', 'after', kinds))).toEqual(['b', 'c', 'a'])
  expect(broughtTo(items, 'a', 'a', 'after', kinds)).toBe(items)
})

const anItem = fc.record({
  kind: fc.constantFrom(...allKinds),
  under: fc.constantFrom(...bodyParts),
  count: fc.integer({ min: 1, max: 20 }),
  lies: fc.constantFrom('over', 'around', 'between', 'behind', undefined),
  piles: fc.constantFrom(1, 2, undefined),
  turn: fc.constantFrom('flat', 'end', 'upturned', undefined),
})

test('whatever is changed into whatever, the item is one a document may hold, and the others are untouched', () => {
  fc.assert(
    fc.property(fc.constantFrom(...allKinds), fc.constantFrom(...bodyParts), anItem, (kind, part, by) => {
      const items = withItem(withItem([], 'blanket', 'head', kinds), kind, part, kinds)
      const id = items.find((one) => one.kind === kind && one.under === part)?.id ?? ''
      const next = changed(items, id, by, kinds)
      for (const one of next) expect(setUpItemSchema.safeParse(one).success).toBe(true)
      expect(without(next, id)).toEqual(without(items, id))
    }),
    { numRuns: 100 },
  )
})
