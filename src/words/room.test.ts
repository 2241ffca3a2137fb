import { roomWords } from './room.ts'

const room = { name: 'The loft', walls: [] }
const floor = { gapCm: 60, chairCm: 0, atWall: [] }

test('says how many mats fit, how far apart, and who is too many', () => {
  expect(roomWords(room, 12, { most: 16, mostAtWall: 5 }, floor)).toEqual([
    '12 mats of 16 in The loft.',
    '60 cm between them.',
  ])
  expect(roomWords(room, 17, { most: 16, mostAtWall: 5 }, { ...floor, chairCm: 60 })).toEqual([
    'The loft takes 16 mats: 1 person too many.',
    '60 cm between them, with room for a chair at each.',
  ])
})

test('says how many are at the wall at once, where anything is done there', () => {
  const last = (mostAtWall: number) =>
    roomWords(room, 8, { most: 16, mostAtWall }, { ...floor, atWall: ['legs'] }).at(-1)
  expect(last(5)).toBe('At the wall 5 at once, 3 have to do it without.')
  expect(last(9)).toBe('All 8 have a place at the wall.')
  expect(last(0)).toBe('Something is done at the wall, and no wall is free here.')
})
