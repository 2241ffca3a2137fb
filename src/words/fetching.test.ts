import type { FetchList } from '#core/class'
import { fetchingWords, fetchLines, shortLines } from './fetching.ts'

const list: FetchList = {
  items: [
    { kind: 'rectBolster', count: 1, late: false },
    { kind: 'blanket', count: 3, late: false },
    { kind: 'eyePillow', count: 1, late: true },
  ],
  ready: [{ kind: 'chair', count: 1, blockId: 'calves' }],
}
const nameOf = () => 'Calves on a chair'

test('what is fetched is told for one and for all, with what comes last and what stands ready', () => {
  expect(fetchLines(list, { nameOf })).toEqual([
    '1 bolster, 3 blankets',
    'once the body is in place: 1 eye pillow',
    '1 chair standing ready for Calves on a chair',
  ])
  expect(fetchLines(list, { people: 6, nameOf })[0]).toBe('6 bolsters, 18 blankets')
  expect(fetchLines({ items: [], ready: [] }, { nameOf })).toEqual([])
})

test('what the cupboard has too little of is told with what is here, all of a kind together', () => {
  const cupboard = [
    { kind: 'rectBolster', count: 5 },
    { kind: 'rectBolster', count: 4 },
    { kind: 'blanket', count: 40 },
    { kind: 'chair', count: 10 },
  ] as const
  expect(shortLines(list, 9, cupboard)).toEqual(['9 eye pillows wanted, 0 here'])
  expect(shortLines(list, 11, cupboard)).toEqual([
    '11 bolsters wanted, 9 here',
    '11 eye pillows wanted, 0 here',
    '11 chairs wanted, 10 here',
  ])
})

test('the time it takes is about so much', () => {
  expect(fetchingWords({ trips: 2, things: 60, s: 138, aloneS: 380 })).toBe(
    '60 things, about 2:20 to fetch and as long to put away; laid out by you, about 6:30.',
  )
  expect(fetchingWords({ trips: 0, things: 0, s: 0, aloneS: 0 })).toBe('Nothing to fetch.')
})
