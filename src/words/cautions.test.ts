import { listedCautions } from '#core/cautions'
import { cautionBook } from '#library/cautions/book'
import { propCautionLines } from './cautions.ts'

test('a caution of a prop names the prop first, then how and for whom in one sentence', () => {
  const { props, own } = listedCautions({ families: ['sup_rest'], props: ['prop_eye', 'prop_strap'] }, cautionBook)
  const lines = propCautionLines(props).map(({ lead, whoInFull }) => `${lead} ${whoInFull}`)
  expect(lines.length).toBeGreaterThan(1)
  expect(
    lines.filter((line) => !/^A (?:weight on the eyes|strap): (?:leave out|change|take care) [a-z]/.test(line)),
  ).toEqual([])
  expect(lines[0]).toMatch(/^A weight on the eyes: leave out for [a-z]/)
  // None of them stands among the cautions of the pose as well.
  expect(own.filter(({ id }) => props.some((prop) => prop.id === id))).toEqual([])
})
