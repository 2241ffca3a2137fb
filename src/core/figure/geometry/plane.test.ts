import fc from 'fast-check'
import {
  from,
  fromOut,
  lengthOf,
  middleJoint,
  minus,
  reached,
  turnThrough,
  turnUntilClear,
  turnUntilContact,
} from './plane.ts'
import type { Point3 } from './plane.ts'

const coordinate = fc.double({ min: -80, max: 80, noNaN: true })
const point: fc.Arbitrary<Point3> = fc.record({ x: coordinate, y: coordinate, z: coordinate })
const bone = fc.double({ min: 15, max: 50, noNaN: true })
const origin: Point3 = { x: 0, y: 0, z: 0 }
const apart = (a: Point3, b: Point3): number => lengthOf(minus(a, b))

test('a point at an angle and a distance lies there, in the plane and turned out of it', () => {
  expect(from(origin, 90, 10)).toEqual({ x: expect.closeTo(0), y: 10, z: 0 })
  const out = fromOut(origin, 30, 60, 10)
  expect([out.y, lengthOf(out)]).toEqual([expect.closeTo(5), expect.closeTo(10)])
  expect(Math.atan2(out.z, out.x)).toBeCloseTo(Math.PI / 3)
})

test('two bones reach a wished point where they can, and both keep their length wherever it is', () => {
  fc.assert(
    fc.property(
      point,
      point,
      bone,
      bone,
      point,
      fc.integer({ min: -180, max: 180 }),
      (start, wished, first, second, towards, swivel) => {
        const end = reached(start, wished, first, second)
        const middle = middleJoint(start, end, first, second, towards, swivel)
        expect(apart(start, middle)).toBeCloseTo(first, 5)
        expect(apart(middle, end)).toBeCloseTo(second, 5)
        const could = apart(start, wished) <= first + second && apart(start, wished) >= Math.abs(first - second)
        if (could) expect(end).toEqual(wished)
        else
          expect(apart(start, end)).toBeCloseTo(
            apart(start, wished) > first + second ? first + second : Math.abs(first - second),
            5,
          )
      },
    ),
  )
})

test('bones wished for where they start keep their lengths too', () => {
  for (const [first, second] of [
    [15, 15.000005],
    [40, 20],
    [20, 40],
  ] as const) {
    const end = reached(origin, origin, first, second)
    const middle = middleJoint(origin, end, first, second, origin)
    expect(apart(origin, middle)).toBeCloseTo(first, 5)
    expect(apart(middle, end)).toBeCloseTo(second, 5)
  }
})

test('a wish along the line stands the joint off anyhow, and the bones keep their lengths', () => {
  const start = { x: 0, y: 0, z: 2.83e-10 }
  const end = { x: 22.626759574010354, y: 0, z: 0 }
  const middle = middleJoint(start, end, 15, 15, { x: 79.99999999999996, y: 0, z: 0 })
  expect(apart(start, middle)).toBeCloseTo(15, 5)
  expect(apart(middle, end)).toBeCloseTo(15, 5)
})

test('the middle joint stands off towards the side it is asked for', () => {
  const knee = middleJoint(origin, { x: 50, y: 0, z: 0 }, 40, 40, { x: 0, y: 1, z: 0 })
  expect(knee.y).toBeGreaterThan(20)
  const outwards = middleJoint(origin, { x: 50, y: 0, z: 0 }, 40, 40, { x: 0, y: 1, z: 0 }, 90)
  expect([outwards.y, outwards.z]).toEqual([expect.closeTo(0), expect.closeTo(knee.y)])
})

describe('turning', () => {
  test('until contact: the last clear angle before the first that is not', () => {
    expect(turnUntilContact(80, -40, (degrees) => degrees > 17)).toBeCloseTo(17, 0)
    expect(turnUntilContact(80, -40, () => true)).toBe(-40)
    expect(turnUntilContact(80, -40, (degrees) => degrees < 80)).toBe(80)
  })

  test('until clear: the first clear angle, to the edge of what it came out of', () => {
    const found = turnUntilClear(0, 60, (degrees) => degrees >= 23)
    expect(found).toBeGreaterThanOrEqual(23)
    expect(found).toBeLessThan(23.1)
    expect(turnUntilClear(0, 60, () => true)).toBe(0)
    expect(turnUntilClear(0, 60, () => false)).toBe(60)
  })

  test('through: what lies in the way at first is passed over; where nothing is clear there is no angle', () => {
    expect(turnThrough(0, 2, (share) => share > 0.4 && share < 1.3)).toBeCloseTo(1.3, 1)
    expect(turnThrough(0, 2, () => false)).toBeUndefined()
  })

  test('whatever the edge, what is found is clear and as near to it as the halvings go', () => {
    fc.assert(
      fc.property(fc.double({ min: -39, max: 79, noNaN: true }), (edge) => {
        const contact = turnUntilContact(80, -40, (degrees) => degrees >= edge)
        expect(contact).toBeGreaterThanOrEqual(edge)
        expect(contact - edge).toBeLessThan(0.1)
      }),
    )
  })
})
