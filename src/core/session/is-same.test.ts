import fc from 'fast-check'
import { isSame } from './index.ts'

test('fields may stand in any order, and one that is undefined is one that is not there', () => {
  expect(isSame({ a: 1, b: [{ c: 2, d: 3 }] }, { b: [{ d: 3, c: 2 }], a: 1 })).toBe(true)
  expect(isSame({ a: 1, b: undefined }, { a: 1 })).toBe(true)
})

test.each([
  [{ a: 1 }, { a: 2 }],
  [
    [1, 2],
    [2, 1],
  ],
  [[], {}],
  [null, {}],
  [{ a: undefined }, { b: 1 }],
])('%j and %j differ', (a, b) => {
  expect([isSame(a, b), isSame(b, a)]).toEqual([false, false])
})

test('a document is the same as its copy through JSON, and as nothing with one more field', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const copy: unknown = JSON.parse(JSON.stringify(value))
      expect(isSame({ value }, { value: copy })).toBe(true)
      expect(isSame({ value }, { value: copy, more: 1 })).toBe(false)
    }),
  )
})
