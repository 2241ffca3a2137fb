import { roomWords, wallWords } from './room.ts'

const room = { name: 'The loft', walls: [] }
const floor = { gapCm: 60, chairCm: 0 }

test('says how many mats fit, how far apart, and who is too many', () => {
  expect(roomWords(room, 12, { most: 16 }, floor)).toEqual(['12 mats of 16 in The loft.', '60 cm between them.'])
  expect(roomWords({ ...room, noSockets: true }, 17, { most: 16 }, { ...floor, chairCm: 60 })).toEqual([
    'The loft takes 16 mats: 1 person too many.',
    '60 cm between them, with room for a chair at each.',
    'No socket there: bring what leads the class charged.',
  ])
})

test('says how many are at the wall when, and what is offered where it is full', () => {
  const at = (mostAtWall: number, holdS = 300, without?: string) =>
    wallWords(
      8,
      { mostAtWall },
      { atWall: [{ blockId: 'legs', startMs: 750_000, holdS }] },
      { nameOf: () => 'Legs up the wall', withoutWall: () => without },
    )
  expect(at(9)).toEqual(['Legs up the wall at 12:30: all 8 have a place at the wall.'])
  expect(at(5, 300, 'Calves on a chair')).toEqual([
    'Legs up the wall at 12:30: 5 at the wall at once. Offer it as Calves on a chair first, to those who take it gladly; then another wall, a door or a corner.',
  ])
  expect(at(5, 90)[1]).toBe('In 2 waves it would take 3:00, if you choose to.')
  expect(at(0, 90)).toEqual([
    'Legs up the wall at 12:30: no wall is free here. Offer it without the wall to all; else at a door that opens away, or a corner.',
  ])
})

test('those whose form is somewhere else are not counted at the wall', () => {
  const at = (elsewhere: number) =>
    wallWords(
      8,
      { mostAtWall: 5 },
      { atWall: [{ blockId: 'legs', startMs: 750_000, holdS: 300 }] },
      { nameOf: () => 'Legs up the wall', withoutWall: () => undefined, elsewhereIn: () => elsewhere },
    )
  expect(at(3)).toEqual(['Legs up the wall at 12:30: 5 of 8 at the wall, each has a place.'])
  expect(at(2)[0]).toContain('5 at the wall at once')
  expect(at(8)).toEqual([])
})
