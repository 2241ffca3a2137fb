import fc from 'fast-check'
import { propKinds } from '#model/prop'
import type { CupboardItem } from '#model/place'
import { bellowsHouse } from '#server/demo/bellows-house'
import { cupboardCsv, readCupboardCsv } from './cupboard-csv.ts'

const withoutIds = (items: readonly CupboardItem[]) => items.map(({ id: _, ...item }) => item)

test('a cupboard goes out and comes in as it was', () => {
  expect(readCupboardCsv(cupboardCsv(bellowsHouse.cupboard))).toEqual({
    items: withoutIds(bellowsHouse.cupboard),
    slips: [],
  })
  const mm = fc.option(fc.integer({ min: 1, max: 100_000 }), { nil: undefined })
  const item = fc
    .record({
      kind: fc.constantFrom(...propKinds),
      count: fc.integer({ min: 0, max: 1000 }),
      sizes: fc.tuple(mm, mm, mm),
    })
    .map(({ kind, count, sizes: [length, width, height] }): CupboardItem => {
      const sizeMm = Object.fromEntries(
        Object.entries({ length, width, height }).filter(([, size]) => size !== undefined),
      )
      return { id: 'i', kind, count, ...(Object.keys(sizeMm).length === 0 ? {} : { sizeMm }) }
    })
  fc.assert(
    fc.property(fc.array(item, { maxLength: 12 }), (items) => {
      expect(readCupboardCsv(cupboardCsv(items))).toEqual({ items: withoutIds(items), slips: [] })
    }),
    { numRuns: 60 },
  )
})

test('kinds are read as teachers call them, lengths with a comma, columns in any order', () => {
  const text = '\uFEFFCount;Name;Height_cm\n4;Bolsters;14,5\n\n2;blanket;\n'
  expect(readCupboardCsv(text)).toEqual({
    items: [
      { kind: 'rectBolster', count: 4, sizeMm: { height: 145 } },
      { kind: 'blanket', count: 2 },
    ],
    slips: [],
  })
})

test('a line that is not understood is told with its number, and the others are read', () => {
  const { items, slips } = readCupboardCsv('kind,count,length_cm\nbolstr,3,\nblanket,few,\nstrap,2,long\ntowel,5,70\n')
  expect(items).toEqual([{ kind: 'towel', count: 5, sizeMm: { length: 700 } }])
  expect(slips.map(({ line, why }) => [line, why])).toEqual([
    [2, 'kind'],
    [3, 'count'],
    [4, 'size'],
  ])
})

test('a file without the columns is told as such', () => {
  expect(readCupboardCsv('what,how many\nbolster,3\n')).toEqual({
    items: [],
    slips: [{ line: 1, text: 'what, how many', why: 'columns' }],
  })
})
