import fc from 'fast-check'
import type { PropKind } from '#model/prop'
import type { SetUpItem } from '#model/set-up'
import { orThrow } from '#core/result'
import { substitutes } from '#library/substitutes'
import { allocate, waysFor } from '../index.ts'
import type { Allocation, PersonThere, PoseOfPerson, SetUpsOf, Stock, Way } from '../index.ts'

const item = (kind: PropKind, under: SetUpItem['under'], count = 1, more: Partial<SetUpItem> = {}): SetUpItem => ({
  id: `${kind}-${under ?? 'listed'}`,
  kind,
  count,
  ...(under === undefined ? {} : { under }),
  ...more,
})
const kneesOver: SetUpsOf = { own: [item('rectBolster', 'knees')] }
const folded: SetUpsOf = {
  own: [item('rectBolster', 'chest', 1, { turn: 'lengthwise' }), item('blanket', 'head')],
  few: [item('blanket', 'chest', 2)],
}
const class_ = (count: number, ...poses: readonly SetUpsOf[]): PersonThere[] =>
  Array.from({ length: count }, (_, at) => ({
    id: `p${String(at + 1)}`,
    poses: poses.map((setUps, block) => ({ blockId: `b${String(block + 1)}`, setUps })),
  }))
const dealt = (people: readonly PersonThere[], stock: Stock): Allocation =>
  orThrow(allocate({ people, stock, substitutes }))
const touched = ({ given }: Pick<Allocation, 'given'>) =>
  given.flatMap(({ personId, blockId, way, replaced }) =>
    way === 'setUp'
      ? []
      : [[personId, blockId, way, replaced.map(({ kind, by, n }) => `${String(n)} ${kind} by ${by}`).join(', ')]],
  )

describe('who gets what', () => {
  test('everybody keeps their set-up where there is enough', () => {
    const enough = dealt(class_(3, kneesOver), { rectBolster: 3 })
    expect(enough).toMatchObject({ penalty: 0, people: 0, kinds: 0, short: [], gap: 0, forAll: { penalty: 0 } })
    expect(touched(enough)).toEqual([])
    expect(dealt([], {})).toMatchObject({ given: [], penalty: 0 })
  })

  test('what is missing is replaced at the end of the list, one set-up more in the room', () => {
    const two = dealt(class_(4, kneesOver), { rectBolster: 2, roundBolster: 1, blanket: 10 })
    // A round bolster costs nothing, two rolled blankets 1, the second set-up of the pose 2.
    expect(two).toMatchObject({ penalty: 3, people: 2, kinds: 1, short: [{ kind: 'rectBolster', wanted: 4, here: 2 }] })
    expect(touched(two)).toEqual([
      ['p3', 'b1', 'substitutes', '1 rectBolster by roundBolster'],
      ['p4', 'b1', 'substitutes', '1 rectBolster by blanket'],
    ])
    // The same for everybody: two blankets each do not suffice for four, two long pillows are not there.
    expect(two.forAll?.penalty).toBe(4)
    expect(dealt(class_(4, kneesOver), { rectBolster: 2, roundBolster: 1, blanket: 7 }).forAll?.penalty).toBe(24)
  })

  test('one instruction serves all: no second set-up is counted', () => {
    const all = dealt(class_(3, kneesOver), { roundBolster: 3 })
    expect(all).toMatchObject({ penalty: 0, people: 3, forAll: { penalty: 0 } })
  })

  test('nobody is touched twice before everybody once', () => {
    const turns = dealt(class_(3, kneesOver, kneesOver), { rectBolster: 2, roundBolster: 1 })
    expect(touched(turns).map(([who, where]) => [who, where])).toEqual([
      ['p2', 'b1'],
      ['p3', 'b2'],
    ])
  })

  test('what stands in may run short in its turn', () => {
    const people = class_(2, folded)
    // Three blankets for one bolster leave one head bare: two towels there, or the few set-up for one person alone.
    expect(dealt(people, { rectBolster: 1, blanket: 4, towel: 2 })).toMatchObject({ penalty: 4, people: 1, kinds: 1 })
    const [one, other] = class_(2, { own: folded.own })
    const noFew = dealt([one, other] as PersonThere[], { rectBolster: 1, blanket: 4, towel: 2 })
    expect(noFew).toMatchObject({ penalty: 4, people: 1, kinds: 1 })
    expect(touched(noFew)[0]?.[3]).toBe('1 rectBolster by blanket, 1 blanket by towel')
    // Without towels the few set-up takes two blankets.
    expect(touched(dealt(people, { rectBolster: 1, blanket: 4 }))).toEqual([['p2', 'b1', 'few', '']])
    expect(touched(dealt(people, { rectBolster: 1, blanket: 1 }))).toEqual([['p2', 'b1', 'none', '']])
  })

  test('who is asked to have a prop never goes below substitutes, and it is never left out for them', () => {
    const [first, second] = class_(2, folded) as [PersonThere, PersonThere]
    const asked = { ...second, poses: second.poses.map((pose) => ({ ...pose, wants: ['rectBolster'] as PropKind[] })) }
    expect(touched(dealt([first, asked], { rectBolster: 1, blanket: 3 }))).toEqual([['p1', 'b1', 'few', '']])
    expect(allocate({ people: [asked], stock: { blanket: 1 }, substitutes })).toEqual({
      ...{ ok: false, code: 'STOCK_SHORT', field: 'stock' },
      extra: { blockId: 'b1', persons: ['p2'] },
    })
    const eyes: PoseOfPerson = { blockId: 'b1', setUps: { own: [item('eyePillow', 'eyes')] } }
    expect(touched(dealt([{ id: 'a', poses: [eyes] }], {}))).toEqual([
      ['a', 'b1', 'substitutes', '1 eyePillow by nothing'],
    ])
    const must = { ...eyes, wants: ['eyePillow'] as const }
    expect(touched(dealt([{ id: 'a', poses: [must] }], { scarf: 1 }))[0]?.[3]).toBe('1 eyePillow by scarf')
  })
})

describe('the ways for a pose', () => {
  const ways = (own: readonly SetUpItem[]): readonly string[] =>
    waysFor({ own }, { scarce: new Set(own.map(({ kind }) => kind)), substitutes })
      .filter(({ way }) => way === 'substitutes')
      .map(
        ({ replaced, penalty }) =>
          `${replaced.map(({ by, n }) => `${String(n)} ${by}`).join(', ')}: ${String(penalty)}`,
      )

  test('a substitute is for a task', () => {
    expect(ways([item('rectBolster', 'knees')])).toEqual(['1 roundBolster: 0', '1 blanket: 1', '1 longPillow: 1'])
    expect(ways([item('rectBolster', 'upperBack')])).toEqual(['1 blanket: 1', '1 longPillow: 2'])
    expect(ways([item('rectBolster', 'feet')])).toEqual([])
    // Not on blocks, and a block under a bolster may be a second bolster.
    const slope = [item('foamBlock', 'upperBack'), item('rectBolster', 'upperBack')]
    const table = ways(slope)
    expect(table).toContain('1 rectBolster: 1')
    expect(table.some((line) => line.includes('longPillow'))).toBe(false)
    expect(ways([item('blanket', 'thighs', 1, { lies: 'over' })])).toEqual(['1 coat: 1'])
  })

  test('what lies in two piles is replaced in both', () => {
    const pair = item('foamBlock', 'knees', 2, { piles: 2 })
    expect(ways([pair])).toEqual(['2 corkBlock: 2', '2 book: 4'])
  })

  test('items stand where the replaced ones stood', () => {
    const [, way] = waysFor(
      { own: [item('blanket', 'head', 2), item('rectBolster', 'knees')] },
      { scarce: new Set<PropKind>(['rectBolster']), substitutes },
    )
    expect(way?.items.map(({ kind, count, under }) => [kind, count, under])).toEqual([
      ['blanket', 2, 'head'],
      ['roundBolster', 1, 'knees'],
    ])
  })
})

test('of a stock they are those that any of it could make', () => {
  const one = fc.record({
    kind: fc.constantFrom<PropKind>('rectBolster', 'roundBolster', 'blanket', 'foamBlock', 'eyePillow', 'towel'),
    count: fc.integer({ min: 1, max: 3 }),
    under: fc.constantFrom('knees', 'upperBack', 'head', 'pelvis'),
  })
  const own = fc.array(one, { minLength: 1, maxLength: 3 })
  const stock = fc.dictionary(fc.constantFrom(...(Object.keys(allKinds) as PropKind[])), fc.integer({ min: 1, max: 4 }))
  fc.assert(
    fc.property(own, stock, (drawn, there) => {
      const items = drawn.map(({ kind, under, count }, at) => item(kind, under, count, { id: String(at) }))
      const asked = { scarce: new Set(items.map(({ kind }) => kind)), substitutes }
      const isThere = ({ way, uses }: Way) =>
        way !== 'substitutes' || [...uses].every(([kind, n]) => n <= ((there as Stock)[kind] ?? 0))
      expect(waysFor({ own: items }, { ...asked, stock: there })).toEqual(
        waysFor({ own: items }, asked).filter(isThere),
      )
    }),
    { numRuns: 60 },
  )
})

/** All ways of everybody, tried one by one; penalties and touches by the book's letters. */
function tried(people: readonly PersonThere[], stock: Stock) {
  const doing = people.flatMap(({ poses }, person) => poses.map((pose) => ({ person, ...pose })))
  const every = new Set(Object.keys(allKinds) as PropKind[])
  const ways = doing.map(({ setUps, wants }) => waysFor(setUps, { wants, scarce: every, substitutes }))
  const best = new Map<string, { people: number; kinds: number }>()
  let penalty = Infinity
  const look = (at: number, chosen: readonly Way[]): void => {
    if (at === doing.length) judge(chosen)
    else for (const way of ways[at] ?? []) if (isThere([...chosen, way])) look(at + 1, [...chosen, way])
  }
  const usedIn = (chosen: readonly Way[], blockId: string, kind: PropKind): number =>
    chosen.reduce((sum, { uses }, one) => sum + (doing[one]?.blockId === blockId ? (uses.get(kind) ?? 0) : 0), 0)
  const isThere = (chosen: readonly Way[]): boolean => {
    const blockId = doing[chosen.length - 1]?.blockId ?? ''
    return [...(chosen.at(-1)?.uses.keys() ?? [])].every((kind) => usedIn(chosen, blockId, kind) <= (stock[kind] ?? 0))
  }
  const judge = (chosen: readonly Way[]): void => {
    const inRoom = new Map<string, Set<string>>()
    for (const [at, way] of chosen.entries()) {
      const key = `${doing[at]?.blockId ?? ''} ${JSON.stringify(doing[at]?.setUps)}`
      inRoom.set(key, (inRoom.get(key) ?? new Set()).add(`${way.way} ${JSON.stringify([...way.uses].sort())}`))
    }
    const seconds = [...inRoom.values()].filter(({ size }) => size > 1).length
    const sum = chosen.reduce((all, way) => all + way.penalty, 0) + 2 * seconds
    if (sum > penalty) return
    if (sum < penalty) best.clear()
    penalty = sum
    const isTouched = chosen.map(({ way }) => way !== 'setUp')
    const kinds = new Set(
      chosen.flatMap(({ uses }, at) =>
        [...(ways[at]?.[0]?.uses ?? [])].flatMap(([kind, n]) => ((uses.get(kind) ?? 0) < n ? [kind] : [])),
      ),
    )
    // Who could take whose place: the same pose in the same block, asked for the same.
    const turns = doing.map(({ blockId, setUps, wants }, at) => [isTouched[at], blockId, setUps, wants])
    const key = JSON.stringify([turns.map((turn) => JSON.stringify(turn)).sort(), [...kinds].sort()])
    const who = new Set(doing.filter((_, at) => isTouched[at]).map(({ person }) => person)).size
    best.set(key, { people: Math.max(who, best.get(key)?.people ?? 0), kinds: kinds.size })
  }
  look(0, [])
  const [first] = [...best.values()].sort((a, b) => a.people - b.people || a.kinds - b.kinds)
  return first && { penalty, ...first }
}

const allKinds = {
  rectBolster: 0,
  roundBolster: 0,
  blanket: 0,
  longPillow: 0,
  towel: 0,
  foamBlock: 0,
  corkBlock: 0,
  eyePillow: 0,
  book: 0,
  scarf: 0,
}
const drawnSetUps: readonly SetUpsOf[] = [
  kneesOver,
  folded,
  {
    own: [item('rectBolster', 'knees'), item('eyePillow', 'eyes', 1, { lies: 'over' })],
    household: [item('longPillow', 'knees', 2)],
  },
  { own: [item('foamBlock', 'pelvis')], few: [item('blanket', 'pelvis')] },
]
const smallClass = fc.record({
  people: fc.array(
    fc.record({
      poses: fc.array(fc.integer({ min: 0, max: drawnSetUps.length - 1 }), { minLength: 1, maxLength: 2 }),
      asks: fc.integer({ min: 0, max: 5 }),
    }),
    { minLength: 1, maxLength: 3 },
  ),
  stock: fc.record(
    Object.fromEntries(Object.keys(allKinds).map((kind) => [kind, fc.integer({ min: 0, max: 3 })])) as Record<
      keyof typeof allKinds,
      fc.Arbitrary<number>
    >,
  ),
})

describe('exact', () => {
  const classes = fc.sample(smallClass, { numRuns: 20, seed: 11 })
  test.each(classes.map((drawn, at) => [at + 1, drawn] as const))('as trying everything, class %i', (_, drawn) => {
    const people = drawn.people.map(({ poses, asks }, person): PersonThere => ({
      id: `p${String(person)}`,
      poses: poses.map((which, block) => ({
        blockId: `b${String(block)}`,
        setUps: drawnSetUps[which] as SetUpsOf,
        ...(asks === 0 ? { wants: ['rectBolster'] as const } : {}),
      })),
    }))
    const ours = allocate({ people, stock: drawn.stock, substitutes })
    const theirs = tried(people, drawn.stock)
    expect(
      ours.ok ? { penalty: ours.value.penalty, people: ours.value.people, kinds: ours.value.kinds } : undefined,
    ).toEqual(theirs)
  })
})
