import type { FetchList } from '#core/class'
import { fetchingWords, fetchLines, fetchLinesOfEach, shortLines, thereBy } from './fetching.ts'

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
  expect(fetchLines({ items: [], ready: [] }, { nameOf })).toEqual([])
})

test('what each fetches is told for most, and for those who fetch otherwise in a line each', () => {
  const nothing: FetchList = { items: [], ready: [] }
  const [bolster, blankets, pillow] = list.items
  if (!bolster || !blankets || !pillow) throw new Error('no items')
  const each = (...alike: Parameters<typeof fetchLinesOfEach>[0]) => fetchLinesOfEach(alike, { nameOf })
  const most = { ...list, people: 9 }
  const others = (...items: FetchList['items']) =>
    each(most, { items, ready: list.ready, people: 1 }).others.map((line) => line.replace('1 person', ''))
  expect(each(most)).toEqual({ most: fetchLines(list, { nameOf }), others: [] })
  expect(each(most, { ...list, ready: [], people: 2 }).others).toEqual(['2 people: no chair'])
  expect(others({ ...blankets, count: 4 }, pillow)).toEqual([': no bolster, 1 blanket more'])
  expect(others(bolster, { ...blankets, count: 1 }, pillow)).toEqual([': 2 blankets fewer'])
  expect(others(bolster, blankets, pillow, { kind: 'strap', count: 2, late: false })).toEqual([': 2 straps more'])
  // What differs in much is told whole, and what differs in nothing but its moment too.
  expect(others({ kind: 'longPillow', count: 2, late: false }, pillow)).toEqual([
    ' otherwise: 2 long pillows; once the body is in place: 1 eye pillow; 1 chair standing ready for Calves on a chair',
  ])
  expect(others({ ...bolster, late: true }, blankets, pillow)).toEqual([
    expect.stringMatching(/^ otherwise: 3 blankets; once the body is in place: 1 bolster, 1 eye pillow; /),
  ])
  expect(each(most, { ...nothing, people: 1 }).others).toEqual(['1 person otherwise: nothing'])
  expect(each({ ...nothing, people: 3 }, { ...list, people: 1 })).toEqual({
    most: ['nothing'],
    others: [expect.stringMatching(/^1 person otherwise: 1 bolster, 3 blankets/)],
  })
  expect(each({ ...nothing, people: 3 })).toEqual({ most: [], others: [] })
  expect(each()).toEqual({ most: [], others: [] })
})

test('what there is too little of is told with what is here', () => {
  const rows = [
    { kind: 'rectBolster', atOnce: 11 },
    { kind: 'blanket', atOnce: 33 },
    { kind: 'chair', atOnce: 11 },
  ] as const
  expect(shortLines(rows, { rectBolster: 9, blanket: 40 })).toEqual([
    '11 bolsters wanted, 9 here',
    '11 chairs wanted, 0 here',
  ])
})

test('who lays out alone is there in time, to five minutes', () => {
  const took = { things: 77, trips: 2, s: 140, aloneS: 380 }
  expect(fetchingWords(took, { fetching: 'byMe', startsAt: '18:45' })).toBe(
    '77 things, laid out by you in about 6:30: be there 18:35.',
  )
  expect(fetchingWords(took, { fetching: 'byMe' })).toBe('77 things, laid out by you in about 6:30.')
  expect(fetchingWords(took, { fetching: 'before' })).toBe(
    '77 things, about 2:20 to fetch and as long to put away: before the class and after it.',
  )
  expect(thereBy('00:05', 380)).toBe('23:55')
})

test('the time it takes is about so much', () => {
  expect(fetchingWords({ trips: 2, things: 60, s: 138, aloneS: 380 })).toBe(
    '60 things, about 2:20 to fetch and as long to put away.',
  )
  expect(fetchingWords({ trips: 0, things: 0, s: 0, aloneS: 0 })).toBe('Nothing to fetch.')
})
