import type { ClassNoticed } from '#core/class'
import { classFindingWords } from './class-findings.ts'

const noticed = (code: ClassNoticed['code'], facts: object): ClassNoticed =>
  ({ code, facts, grade: 'look', place: {}, ofClass: true, mend: undefined }) as ClassNoticed
const title = (code: ClassNoticed['code'], facts: object): string => classFindingWords(noticed(code, facts)).title

test('a finding of a class says its numbers', () => {
  expect(title('STOCK_SHORT', { kind: 'rectBolster', wanted: 15, here: 12 })).toBe(
    'Bolsters: 15 needed, 12 in the cupboard',
  )
  expect(title('FETCH_NOT_SAID', { why: 'noTalk', things: 77, s: 140, talkS: 0 })).toBe(
    '77 things to fetch, and no talk before them',
  )
  expect(title('FETCH_NOT_SAID', { why: 'short', things: 77, s: 138, talkS: 60 })).toBe(
    'The first talk has 1:00, fetching takes about 2:20',
  )
  expect(title('WALL_SHORT', { people: 11, places: 7, holdS: 300 })).toBe('At the wall: 11 people, 7 places')
  const short = classFindingWords(noticed('WALL_SHORT', { people: 11, places: 7, holdS: 90 }))
  expect(short.reason).toMatch(/In 2 waves it would take 3:00, if you choose to\.$/)
  expect(title('WALL_SHORT', { people: 11, places: 0, holdS: 300 })).toBe('No wall is free here for 11 people')
  expect(title('ROOM_SHORT', { people: 17, most: 16 })).toBe('17 people in a room for 16 mats')
  expect(title('ROOM_TAKEN', { name: 'Choir', startsAt: '18:30', inSameRoom: true })).toBe(
    'The room is taken: Choir at 18:30',
  )
  expect(title('ROOM_TAKEN', { name: 'Choir', startsAt: '18:30', inSameRoom: false })).toBe(
    'Choir at 18:30 has things of the same cupboard',
  )
})
