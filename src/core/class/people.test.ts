import type { PlannedClass } from '#model/planned-class'
import type { SetUpItem } from '#model/set-up'
import {
  bodyOfPerson,
  comingTo,
  guestsOf,
  isLateInPregnancy,
  laidByPeople,
  roomOf,
  stillTaken,
  theOne,
  touching,
} from './index.ts'
import type { Laid } from './index.ts'

const item = (kind: SetUpItem['kind']): SetUpItem => ({ id: kind, kind, count: 1, under: 'knees' })
const laid: readonly Laid[] = [
  { blockId: 'fold', startMs: 0, endMs: 60_000, items: [item('rectBolster')] },
  { blockId: 'fold', startMs: 60_000, endMs: 90_000, items: [] },
  { blockId: 'rest', startMs: 90_000, endMs: 200_000, items: [item('blanket')] },
]

test('who is away does not come; people without a name are told apart by number', () => {
  const people: PlannedClass['people'] = [{ personId: 'ivo' }, { personId: 'mara', away: true }]
  expect(comingTo({ people, guests: 2 })).toEqual(['ivo', 'guest-1', 'guest-2'])
  expect(guestsOf(0)).toEqual([])
})

test('those who have the same stand together, and what they have instead lies there all along', () => {
  const pillows = [item('longPillow')]
  const groups = laidByPeople(laid, guestsOf(3), [{ blockId: 'fold', who: ['guest-2', 'guest-9'], items: pillows }])
  expect(groups.map(({ who }) => who)).toEqual([['guest-1', 'guest-3'], ['guest-2']])
  expect(groups[0]?.laid).toBe(laid)
  expect(groups[1]?.laid.map(({ items }) => items)).toEqual([pillows, pillows, laid[2]?.items])
})

test('what is taken for all is for whoever comes later too', () => {
  const taken = [{ blockId: 'rest', items: [] }]
  expect(laidByPeople(laid, guestsOf(2), taken).map(({ who }) => who.length)).toEqual([2])
  expect(laidByPeople(laid, guestsOf(5), taken)[0]?.laid[2]?.items).toEqual([])
})

test('what was taken lapses with its block, and with another set-up of it', () => {
  const fold = { blockId: 'fold', from: [item('rectBolster')] }
  expect(stillTaken([fold, { blockId: 'gone', from: [] }], laid)).toEqual([fold])
  expect(stillTaken([{ ...fold, from: [item('blanket')] }], laid)).toEqual([])
  // Written in another order it is the same.
  const { kind, ...rest } = item('rectBolster')
  expect(stillTaken([{ ...fold, from: [{ ...rest, kind }] }], laid)).toHaveLength(1)
})

test('a class that names no room is held in the largest', () => {
  const room = (id: string, lengthMm: number) => ({ id, name: id, lengthMm, widthMm: 5000, walls: [] })
  const rooms = [room('small', 6000), room('large', 9000), room('as-large', 9000)]
  expect(roomOf({ rooms }, 'small')?.id).toBe('small')
  expect(roomOf({ rooms }, undefined)?.id).toBe('large')
  expect(roomOf({ rooms }, 'gone')?.id).toBe('large')
  expect(roomOf({ rooms: [] }, undefined)).toBeUndefined()
})

test('two classes of a day touch where less than a quarter of an hour lies between them', () => {
  const at = (startsAt: string | undefined, minutes = 60) => ({ startsAt, totalMs: minutes * 60_000 })
  expect(touching(at('18:00'), at('19:14'))).toBe(true)
  expect(touching(at('18:00'), at('19:15'))).toBe(false)
  expect(touching(at('19:14'), at('18:00'))).toBe(true)
  expect(touching(at('18:00'), at('18:00'))).toBe(true)
  expect(touching(at(undefined), at('18:00'))).toBe(false)
})

test('somebody comes alone where nobody else does, with a name or without', () => {
  const ivo = { id: 'ivo', name: 'Ivo', conditions: [], consents: [] }
  const people: PlannedClass['people'] = [{ personId: 'ivo' }, { personId: 'mara', away: true }]
  expect(theOne({ people, guests: 0 }, [ivo])).toBe(ivo)
  expect(theOne({ people, guests: 1 }, [ivo])).toBeUndefined()
  expect(theOne({ people: [{ personId: 'ivo' }, { personId: 'mara' }], guests: 0 }, [ivo])).toBeUndefined()
  expect(theOne({ people, guests: 0 }, [])).toBeUndefined()
})

test('a body is as tall as it is noted, in centimetres, with what was measured of it', () => {
  expect(bodyOfPerson({})).toBeUndefined()
  expect(bodyOfPerson({ statureMm: 1595 })).toEqual({ statureCm: 159.5 })
  expect(bodyOfPerson({ statureMm: 1700, measures: { sitting: 895, kneeH0: 220 } })).toEqual({
    ...{ statureCm: 170, measured: { sitting: 89.5 }, kneeH0Cm: 22 },
  })
})

test('who told that they are past the 27th week is late in pregnancy, nobody else', () => {
  const told = (id: string) => ({ conditions: [{ id, severe: 'no' as const, askedOn: '2026-03-01' }] })
  expect(isLateInPregnancy(told('preg_t3'))).toBe(true)
  expect(isLateInPregnancy(told('preg_t2'))).toBe(false)
  expect(isLateInPregnancy({ conditions: [] })).toBe(false)
})
