import fc from 'fast-check'
import type { Variant } from '#model/pose'
import { propKinds } from '#model/prop'
import type { SetUpItem } from '#model/set-up'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { fetchedAlike, fetchedByAll, fetching, fetchList, laidByPeople, laidIn, ledger } from './index.ts'
import type { Laid } from './index.ts'

const item = (kind: SetUpItem['kind'], count = 1, more: Partial<SetUpItem> = {}): SetUpItem => ({
  id: `${kind}-${String(count)}`,
  kind,
  count,
  under: 'head',
  ...more,
})
const stretch = (blockId: string, fromMin: number, toMin: number, ...items: SetUpItem[]): Laid => ({
  blockId,
  startMs: fromMin * 60_000,
  endMs: toMin * 60_000,
  items,
})
/** A fold, a seat on a chair, a rest. */
const hour: readonly Laid[] = [
  stretch('fold', 0, 10, item('rectBolster'), item('blanket', 2)),
  stretch('seat', 10, 20, item('chair'), item('blanket', 3)),
  stretch('rest', 20, 30, item('rectBolster'), item('blanket'), item('eyePillow', 1, { under: 'eyes', lies: 'over' })),
]

describe('what lies at a mat', () => {
  const compile = (...blocks: Parameters<typeof aSession>[0] & object) =>
    laidIn(orThrow(compileTimeline(aSession(blocks), shippedCatalog)))
  const pad = [item('blanket')]

  test('is that of each block that is set up, from its beginning to its end', () => {
    const laid = compile(
      aTalk(),
      aHold('sphinx', { setUpItems: pad }),
      aBreath('even-breath'),
      aClosing({ setUpItems: [] }),
    )
    expect(laid.map(({ blockId, items }) => [blockId, items])).toEqual([
      ['sphinx', pad],
      ['closing', []],
    ])
    expect(laid[0]?.startMs).toBe(60_000)
  })

  test('changes with a step in mid-hold', () => {
    const steps = [{ id: 's', at: { fromStartS: 90 }, items: [] }]
    const [before, after] = compile(aHold('sphinx', { setUpItems: pad, hold: { holdS: 240 }, steps }))
    expect(before?.items).toEqual(pad)
    expect(after).toMatchObject({ items: [], startMs: before?.endMs })
  })
})

describe('the ledger', () => {
  test('counts what is in use at once over all people, and what each fetches', () => {
    const rows = ledger({ people: [{ count: 4, laid: hour }] })
    expect(rows.map(({ kind, atOnce, blockId, fetched }) => [kind, atOnce, blockId, fetched])).toEqual([
      ['rectBolster', 4, 'fold', 4],
      ['blanket', 12, 'seat', 12],
      ['chair', 4, 'seat', 0],
      ['eyePillow', 4, 'rest', 4],
      ['mat', 4, undefined, 0],
    ])
    expect(rows[1]?.over.map(({ blockId, n }) => [blockId, n])).toEqual([
      ['fold', 8],
      ['seat', 12],
      ['rest', 4],
    ])
  })

  test('people in forms of their own are counted with what they have', () => {
    const bare = hour.map((one) => ({ ...one, items: one.items.filter(({ kind }) => kind !== 'rectBolster') }))
    const [bolsters] = ledger({
      people: [
        { count: 3, laid: hour },
        { count: 2, laid: bare },
      ],
    })
    expect(bolsters).toMatchObject({ kind: 'rectBolster', atOnce: 3, fetched: 3 })
  })

  test('the wall, a door and a sofa are places; nobody takes nothing', () => {
    expect(
      ledger({ people: [{ count: 2, laid: [stretch('a', 0, 1, item('wall'), item('sofa'), item('door'))] }] }),
    ).toEqual([{ kind: 'mat', atOnce: 2, fetched: 0, over: [] }])
    expect(ledger({ people: [] })).toEqual([])
  })

  test('never more at once than is fetched or stands ready, and twice the people take twice', () => {
    const items = fc.array(
      fc
        .record({ kind: fc.constantFrom(...propKinds), count: fc.integer({ min: 1, max: 9 }) })
        .map(({ kind, count }) => item(kind, count)),
      { maxLength: 5 },
    )
    fc.assert(
      fc.property(fc.array(items, { minLength: 1, maxLength: 6 }), fc.integer({ min: 1, max: 30 }), (each, count) => {
        const laid = each.map((one, at) => stretch(`b${String(at)}`, at, at + 1, ...one))
        const rows = ledger({ people: [{ count, laid }] })
        const twice = ledger({ people: [{ count: 2 * count, laid }] })
        for (const [at, row] of rows.entries()) {
          if (row.fetched > 0) expect(row.atOnce).toBe(row.fetched)
          expect(twice[at]?.atOnce).toBe(2 * row.atOnce)
          if (row.over.length > 0) expect(Math.max(...row.over.map(({ n }) => n))).toBe(row.atOnce)
        }
      }),
      { numRuns: 60 },
    )
  })
})

describe('fetching', () => {
  test('the list of one person has the most of each, marks what comes last, and leaves what stands ready', () => {
    expect(fetchList(hour)).toEqual({
      items: [
        { kind: 'rectBolster', count: 1, late: false },
        { kind: 'blanket', count: 3, late: false },
        { kind: 'eyePillow', count: 1, late: true },
      ],
      ready: [{ kind: 'chair', count: 1, blockId: 'seat' }],
    })
  })

  test('is of what each block is set up with: the set-up it names, its own items, or a form’s counts', () => {
    const listOf = (...blocks: Parameters<typeof aSession>[0] & object) =>
      fetchList(laidIn(orThrow(compileTimeline(aSession(blocks), shippedCatalog)))).items.map(
        ({ kind, count }) => `${String(count)} ${kind}`,
      )
    const few = { setUpId: 'wide-knee-fold-few' }
    expect(listOf(aHold('wide-knee-fold', few), aHold('figure-four-at-the-wall'))).toEqual([
      '1 rectBolster',
      '1 blanket',
    ])
    expect(listOf(aHold('wide-knee-fold', few), aHold('deer', { setUpItems: [item('book', 3)] }))).toEqual([
      '1 rectBolster',
      '1 blanket',
      '3 book',
    ])
    expect(listOf(aClosing())).toEqual(['1 rectBolster', '2 blanket', '1 eyePillow'])
    // A form whose counts alone are known takes those.
    const isCounted = ({ base, props = [] }: Variant) => !base && props.length === 1 && props[0]?.kind === 'blanket'
    const pose = [...shippedCatalog.poses.values()].find(({ variants }) => variants.some(isCounted))
    const form = pose?.variants.find(isCounted)
    if (!pose || !form) throw new Error('no form with counts')
    expect(listOf(aHold(pose.id, { variantId: form.id }))).toEqual([`${String(form.props?.[0]?.count)} blanket`])
  })

  test('takes 20 s and 15 s a trip, as many at a time as can stand at the cupboard', () => {
    const list = fetchList(hour)
    // Bolster and three blankets: two ways; the eye pillow goes along.
    expect(fetching([{ ...list, people: 12 }])).toEqual({ trips: 2, things: 60, s: 140, aloneS: 380 })
    expect(fetching([{ ...list, people: 12 }], { atCupboard: 6 }).s).toBe(80)
    expect(fetching([{ ...list, people: 2 }]).s).toBe(50)
    expect(fetching([{ items: [{ kind: 'eyePillow', count: 1, late: true }], people: 3 }])).toMatchObject({
      trips: 1,
      s: 35,
    })
    expect(fetching([{ items: [], people: 9 }])).toEqual({ trips: 0, things: 0, s: 0, aloneS: 0 })
  })

  describe('by those who have something else', () => {
    const listsOf = (who: readonly string[], ...taken: Parameters<typeof laidByPeople>[2]) =>
      laidByPeople(hour, who, taken).map((group) => ({ ...fetchList(group.laid), people: group.who.length }))
    const instead = (blockId: string, who: readonly string[], ...items: SetUpItem[]) => ({ blockId, who, items })

    test('is told for most, and once for all who fetch the same, wherever it lies', () => {
      const lists = listsOf(
        ['a', 'b', 'c', 'd'],
        // Fewer, but not fewer than elsewhere: the same as everybody.
        instead('rest', ['a'], item('rectBolster'), item('eyePillow', 1, { under: 'eyes', lies: 'over' })),
        instead('fold', ['b'], item('blanket', 4)),
        instead('rest', ['b'], item('eyePillow', 1, { under: 'eyes', lies: 'over' })),
        // The same as well, wanted at another moment.
        instead('fold', ['c'], item('rectBolster'), item('blanket', 2), item('eyePillow')),
      )
      expect(lists).toHaveLength(4)
      const [most, other, ...none] = fetchedAlike(lists)
      expect(none).toEqual([])
      expect(most).toEqual({
        ...fetchList(hour),
        people: 3,
        items: fetchList(hour).items.map((one) => ({ ...one, late: false })),
      })
      expect(other).toMatchObject({
        people: 1,
        items: [
          { kind: 'blanket', count: 4 },
          { kind: 'eyePillow', count: 1 },
        ],
      })
    })

    test('comes to the same for all together, however they are put together', () => {
      const lists = fc.array(
        fc.record({
          people: fc.integer({ min: 1, max: 9 }),
          items: fc.uniqueArray(
            fc.record({
              kind: fc.constantFrom(...propKinds),
              count: fc.integer({ min: 1, max: 3 }),
              late: fc.boolean(),
            }),
            { selector: ({ kind }) => kind, maxLength: 3 },
          ),
          ready: fc.constant([]),
        }),
        { maxLength: 8 },
      )
      fc.assert(
        fc.property(lists, (all) => {
          const alike = fetchedAlike(all)
          const counts = ({ items }: ReturnType<typeof fetchedByAll>) => new Map(items.map((one) => [one.kind, one]))
          expect(counts(fetchedByAll(alike))).toEqual(counts(fetchedByAll(all)))
          expect(alike.map(({ people }) => people)).toEqual(alike.map(({ people }) => people).sort((a, b) => b - a))
          const fetched = alike.map(({ items }) =>
            items
              .map(({ kind, count }) => `${kind} ${String(count)}`)
              .sort()
              .join(),
          )
          expect(new Set(fetched).size).toBe(alike.length)
        }),
        { numRuns: 100 },
      )
    })
  })
})
