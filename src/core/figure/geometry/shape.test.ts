import fc from 'fast-check'
import { isFree, isFreeOfPile, clearance, placed, stillOf } from '../body/scene.ts'
import type { Obstacle } from '../body/scene.ts'
import { boundsOf, distanceTo, floorAt, shapeOn, surfaceAt } from './shape.ts'
import { pilesOf } from '#core/props'
import { propKinds } from '#library/prop-kinds'

const block = { along: 15, roundSeen: false, rank: 0, kind: 'foamBlock' } as const
const roll = { along: 17, roundSeen: true, rank: 2, kind: 'blanket' } as const
const box = shapeOn(floorAt(0), block, 10)
const inRoom = (shape: typeof box): Obstacle => ({ ...shape, zFrom: -12, zTo: 12 })

test('a block on the floor has its bounds; a roll is as round as it is high', () => {
  expect(boundsOf(box)).toEqual({ left: -7.5, right: 7.5, low: 0, high: 10 })
  const round = shapeOn(floorAt(5), roll, 14)
  expect(boundsOf(round)).toMatchObject({ low: 0, high: 14 })
  expect(distanceTo(round, { x: 5, y: 20 })).toBeCloseTo(6)
})

test('distances are negative inside, nothing on the edge, and grow straight away from it', () => {
  expect(distanceTo(box, { x: 0, y: 5 })).toBeCloseTo(-5)
  expect(distanceTo(box, { x: 0, y: 10 })).toBeCloseTo(0)
  fc.assert(
    fc.property(
      fc.double({ min: -6, max: 6, noNaN: true }),
      fc.double({ min: 0.1, max: 60, noNaN: true }),
      (x, above) => {
        expect(distanceTo(box, { x, y: 10 + above })).toBeCloseTo(above)
      },
    ),
  )
})

test('of a chair only the seat is in the way: what is under it is free', () => {
  const seat = shapeOn(floorAt(0), { along: 40, roundSeen: false, rank: 0, kind: 'chair' }, 45)
  expect(boundsOf(seat)).toMatchObject({ high: 45, low: 41 })
  expect(distanceTo(seat, { x: 0, y: 20 })).toBeGreaterThan(20)
})

test('along a slope a surface goes on in its own direction, and what lies on it rises to its left', () => {
  const moved = surfaceAt({ x: 0, y: 0, degrees: 30 }, 10, 0)
  expect([moved.x, moved.y, moved.degrees]).toEqual([expect.closeTo(8.66, 2), expect.closeTo(5), 30])
  expect(surfaceAt({ x: 0, y: 0, degrees: 90 }, 0, 4)).toMatchObject({ x: expect.closeTo(-4), y: expect.closeTo(0) })
})

test('the quick answer whether a limb is free agrees with the distance that is measured', () => {
  const end = fc.record({
    x: fc.integer({ min: -40, max: 40 }),
    y: fc.integer({ min: 4, max: 40 }),
    z: fc.integer({ min: -20, max: 20 }),
  })
  const radius = fc.double({ min: 0.5, max: 4, noNaN: true })
  const turned = {
    ...shapeOn({ x: 4, y: 3, degrees: 25 }, { along: 40, roundSeen: false, rank: 1, kind: 'rectBolster' }, 14),
    zFrom: -15,
    zTo: 15,
  }
  fc.assert(
    fc.property(end, end, radius, radius, (a, b, ra, rb) => {
      const limb = { a, b, ra, rb }
      for (const props of [[inRoom(box)], [turned], [inRoom(box), turned]]) {
        const measured = clearance(limb, props)
        if (Math.abs(measured) > 1e-4) expect(isFree(limb, props)).toBe(measured > 0)
      }
    }),
  )
})

test('a pile tried at a place in thought is the pile that is then put there', () => {
  const piles = pilesOf({
    items: [
      { id: 'b', kind: 'foamBlock', count: 2, under: 'knees' },
      {
        id: 'r',
        kind: 'blanket',
        count: 1,
        under: 'knees',
        folds: [{ op: 'halfL' }, { op: 'halfW' }, { op: 'halfL' }],
      },
    ],
    kinds: propKinds,
    massKg: 70,
    posture: 'lying',
  })
  const pile = piles.ok ? piles.value[0] : undefined
  const still = stillOf(pile)
  const end = fc.record({ x: fc.integer({ min: -60, max: 60 }), y: fc.integer({ min: 5, max: 60 }), z: fc.constant(0) })
  fc.assert(
    fc.property(end, end, fc.integer({ min: -30, max: 30 }), (a, b, x) => {
      const limb = { a, b, ra: 3, rb: 2 }
      expect(isFreeOfPile(limb, still, floorAt(x))).toBe(placed(pile, floorAt(x)).every((prop) => isFree(limb, [prop])))
    }),
  )
})

test('each piece of a pile stands on the one below it, up to the height of the pile', () => {
  const piles = pilesOf({
    items: [
      { id: 'b', kind: 'corkBlock', count: 2, under: 'pelvis' },
      { id: 'r', kind: 'longPillow', count: 1, under: 'pelvis' },
    ],
    kinds: propKinds,
    massKg: 60,
    posture: 'lying',
  })
  const pile = piles.ok ? piles.value[0] : undefined
  const bounds = placed(pile, floorAt(3)).map(boundsOf)
  expect(bounds[0]?.low).toBeCloseTo(0)
  for (const [at, { low }] of bounds.entries()) if (at > 0) expect(low).toBeCloseTo(bounds[at - 1]?.high ?? NaN)
  expect(bounds.at(-1)?.high).toBeCloseTo(pile?.height ?? NaN)
})
