import { parseStature } from '#core/units'

describe('a stature as it is typed', () => {
  test.each([
    ['170', 170],
    [' 170 cm ', 170],
    ['1.7 m', 170],
    ['1,68m', 168],
    ['67 in', 170.2],
    ['1700 mm', 170],
  ])('%s is taken', (text, cm) => {
    expect(parseStature(text)).toMatchObject({ ok: true, value: cm })
  })

  test('a bare number in metres or inches is asked about, never converted by itself', () => {
    expect(parseStature('1.7')).toMatchObject({
      ok: false,
      code: 'STATURE_UNIT',
      extra: { likelyCm: 170, inches: false },
    })
    expect(parseStature('67')).toMatchObject({
      ok: false,
      code: 'STATURE_UNIT',
      extra: { likelyCm: 170, inches: true },
    })
  })

  test('what no adult is, or no number at all, is refused with the limits', () => {
    expect(parseStature('110')).toMatchObject({
      ok: false,
      code: 'STATURE_RANGE',
      extra: { leastCm: 120, mostCm: 220 },
    })
    expect(parseStature('tall')).toMatchObject({ ok: false, code: 'NOT_A_STATURE' })
  })
})
