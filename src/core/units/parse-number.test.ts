import fc from 'fast-check'
import { parseNumber, steppedNumber } from './index.ts'

const pace = { least: 0.25, most: 10, grain: 0.01 }

test.each([
  ['4', 4],
  ['3.5', 3.5],
  ['3,5', 3.5],
  [' 1,2 ', 1.2],
  [',5', 0.5],
  ['0.255', 0.26],
])('“%s” is %d', (typed, value) => {
  expect(parseNumber(typed, pace)).toMatchObject({ ok: true, value })
})

test.each([
  ['', 'NUMBER_EMPTY'],
  ['four', 'NOT_A_NUMBER'],
  ['1,2,3', 'NOT_A_NUMBER'],
  ['1.200,5', 'NOT_A_NUMBER'],
  ['-2', 'NOT_A_NUMBER'],
  ['1e3', 'NOT_A_NUMBER'],
  ['12', 'NUMBER_RANGE'],
  ['0,1', 'NUMBER_RANGE'],
])('“%s” is refused as %s, and never bent to fit', (typed, code) => {
  expect(parseNumber(typed, pace, 'One count')).toMatchObject({ ok: false, code, field: 'One count' })
})

test('what is finer than a field takes comes to the nearest it does', () => {
  expect(parseNumber('4.3', { least: 0.5, most: 64, grain: 0.5 })).toMatchObject({ value: 4.5 })
  expect(parseNumber('1,5', { least: 1, most: 20 })).toMatchObject({ value: 2 })
})

test('a comma and a point are read alike', () => {
  fc.assert(
    fc.property(fc.integer({ min: 25, max: 1000 }), (hundredths) => {
      const typed = (hundredths / 100).toFixed(2)
      expect(parseNumber(typed.replace('.', ','), pace)).toEqual(parseNumber(typed, pace))
    }),
  )
})

test('steps go to the next multiple and stay within the limits', () => {
  const limits = { least: 0.5, most: 64, grain: 0.5 }
  expect(steppedNumber(4, 0.5, limits)).toBe(4.5)
  expect(steppedNumber(4.3, 0.5, limits)).toBe(4.5)
  expect(steppedNumber(4.3, -0.5, limits)).toBe(4)
  expect(steppedNumber(0.5, -0.5, limits)).toBe(0.5)
  expect(steppedNumber(64, 1, limits)).toBe(64)
  expect(steppedNumber(0.3, 0.1, { ...pace })).toBe(0.4)
})
