import type { Place } from '#model/place'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { bellowsHouse } from '#server/demo/bellows-house'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { checkClass, guestsOf, laidByPeople, laidIn, leftOf } from './index.ts'
import type { ClassLook } from './index.ts'

const [workshop] = bellowsHouse.rooms
const fold = aHold('wide-knee-fold', { setUpId: 'wide-knee-fold-few', id: 'fold' })

function look(
  people: number,
  blocks: Parameters<typeof aSession>[0] & object,
  more: Partial<ClassLook> & { readonly house?: Partial<Place> } = {},
): ClassLook {
  const timeline = orThrow(compileTimeline(aSession(blocks), shippedCatalog))
  const { house, ...rest } = more
  const place = { ...bellowsHouse, ...house }
  return {
    ...{
      planned: { day: '2026-12-03' },
      through: [],
      forms: [],
      timeline,
      place,
      room: workshop,
      isHere: true,
      atHome: [],
      beside: [],
      changes: shippedCatalog.changes,
    },
    groups: laidByPeople(laidIn(timeline), guestsOf(people), []),
    called: (kind) => [kind === 'rectBolster' ? 'bolster' : kind],
    ...rest,
  }
}
const codes = (...input: Parameters<typeof look>) => checkClass(look(...input)).map(({ code, facts }) => [code, facts])
const told = { ...aTalk('arrive', 300), text: 'Take a bolster and a blanket' }

test('a class that has all it needs, and is told what to fetch, has no finding', () => {
  expect(codes(9, [told, fold])).toEqual([])
})

describe('too little of something', () => {
  test('is told by kind, with what is wanted at once and what is here', () => {
    expect(codes(11, [told, fold])).toEqual([['STOCK_SHORT', { kind: 'rectBolster', wanted: 11, here: 9 }]])
    const mats = codes(17, [told]).find(([code]) => code === 'STOCK_SHORT')
    expect(mats?.[1]).toEqual({ kind: 'mat', wanted: 17, here: 16 })
  })

  test('is nothing where each has their own, nor is a room, nor another class', () => {
    const beside = [{ name: 'Choir', startsAt: '18:30', inSameRoom: true, has: new Map() }]
    const wall = aHold('legs-up-the-wall', { setUpItems: [] })
    expect(codes(40, [told, fold, wall], { isHere: false, beside })).toEqual([])
  })

  test('goes by what another class leaves, and that is said', () => {
    const beside = [
      { name: 'Choir', startsAt: '18:30', inSameRoom: false, has: new Map([['rectBolster', 4] as const]) },
    ]
    expect(codes(6, [told, fold], { beside })).toEqual([
      ['STOCK_SHORT', { kind: 'rectBolster', wanted: 6, here: 5 }],
      ['ROOM_TAKEN', { name: 'Choir', startsAt: '18:30', inSameRoom: false }],
    ])
    expect(leftOf(bellowsHouse, beside)['rectBolster']).toBe(5)
    const all = [{ name: 'Choir', startsAt: '18:30', inSameRoom: false, has: new Map([['rectBolster', 40] as const]) }]
    expect(leftOf(bellowsHouse, all)['rectBolster']).toBe(0)
  })
})

describe('what is fetched', () => {
  const found = (...input: Parameters<typeof look>) => codes(...input).find(([code]) => code === 'FETCH_NOT_SAID')?.[1]

  test('is said in a talk before it is laid', () => {
    expect(found(4, [fold])).toMatchObject({ why: 'noTalk', things: 8 })
    expect(found(4, [fold, told])).toMatchObject({ why: 'noTalk' })
    expect(found(4, [aTalk('arrive', 300), fold])).toMatchObject({ why: 'unsaid', talkS: 300 })
    expect(found(4, [{ ...told, s: 30 }, fold])).toMatchObject({ why: 'short', talkS: 30 })
    const script = { sentences: [{ text: 'A BOLSTER each, please' }] }
    expect(found(4, [{ ...aTalk('arrive', 300), script }, fold])).toBeUndefined()
  })

  test('needs no word where it is fetched before the class, or nothing is', () => {
    expect(found(4, [fold], { planned: { day: '2026-12-03', fetching: 'before' } })).toBeUndefined()
    expect(found(4, [fold], { planned: { day: '2026-12-03', fetching: 'byMe' } })).toBeUndefined()
    expect(found(4, [aHold('sphinx', { setUpItems: [] })])).toBeUndefined()
  })
})

describe('the room', () => {
  const wall = aHold('legs-up-the-wall', { id: 'wall', setUpItems: [{ id: 'w', kind: 'wall', count: 1 }] })

  test('has so many places at the wall, or none', () => {
    const [found] = checkClass(look(10, [told, wall]))
    expect(found).toMatchObject({ code: 'WALL_SHORT', place: { blockId: 'wall' }, facts: { people: 10, places: 7 } })
    const bare = workshop && { ...workshop, walls: [] }
    expect(codes(2, [told, wall], { room: bare })).toContainEqual([
      'WALL_SHORT',
      expect.objectContaining({ places: 0 }),
    ])
    expect(codes(7, [told, wall])).toEqual([])
  })

  test('takes so many mats', () => {
    const small = workshop && { ...workshop, lengthMm: 6000, widthMm: 4000 }
    const [found] = codes(9, [told, fold], { room: small })
    expect(found).toEqual(['ROOM_SHORT', { people: 9, most: expect.any(Number) as number }])
  })
})

test('at home it is each one’s own things that may be too few, where they are noted', () => {
  const atHome = [
    { id: 'guest-1', stock: { rectBolster: 1, blanket: 9, longPillow: 2 } },
    { id: 'guest-2', stock: {} },
  ]
  expect(codes(3, [told, fold], { isHere: false, atHome })).toEqual([['THINGS_SHORT', { people: 1, known: 2 }]])
  expect(codes(3, [told, fold], { atHome })).toEqual([])
})
