import fc from 'fast-check'
import type { BreathBlock } from '#model/block'
import type { FormerBreathBlock } from '#model/former-block'
import { breathTimeLimits, composedMostS } from '#model/limits'
import type { Pattern } from '#model/breath'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { compileTimeline, compileToFit, inTheWayOf } from './index.ts'

const second = { num: 1000, den: 1 }
const even = { in: 8, full: 0, out: 8, empty: 0 }
const breath = ({ techniqueId = 'even-breath', ...details }: Partial<FormerBreathBlock> = {}): BreathBlock =>
  aBreath(techniqueId, { pattern: even, pace: second, amount: { sets: 1, roundsPerSet: 10 }, ...details })
const inTheWay = (...blocks: Parameters<typeof aSession>[0] & object) => inTheWayOf(aSession(blocks), shippedCatalog)
const codes = (...blocks: Parameters<typeof aSession>[0] & object) => inTheWay(...blocks).map(({ code }) => code)

describe('a counted breath', () => {
  test.each<[string, Partial<Pattern>, readonly string[]]>([
    ['four in, four out', {}, []],
    ['twenty seconds in', { in: 40 }, []],
    ['twenty and a half', { in: 41 }, ['BREATH_LONG']],
    ['out longer than twenty', { out: 48 }, ['BREATH_LONG']],
    ['thirty held full', { full: 60 }, []],
    ['thirty and a half held full', { full: 61 }, ['RETENTION_LONG']],
    ['held empty for more than thirty', { empty: 64 }, ['RETENTION_LONG']],
    ['one count in, one out', { in: 2, out: 2 }, []],
    ['a round of a second and a half', { in: 2, out: 1 }, ['ROUND_LENGTH']],
    [
      'everything too long',
      { in: 80, full: 128, out: 80, empty: 128 },
      ['BREATH_LONG', 'BREATH_LONG', 'RETENTION_LONG', 'RETENTION_LONG', 'ROUND_LENGTH'],
    ],
  ])('%s', (_, pattern, expected) => {
    const planned = { ...even, ...pattern }
    expect(codes(breath({ pattern: planned }))).toEqual(expected)
    expect(
      codes(aHold('deer', { breathOver: { techniqueId: 'long-exhale', pattern: planned, pace: second } })),
    ).toEqual(expected)
  })

  test('is measured in seconds, whatever its counts: the pace may bring it past, or back', () => {
    const retention = { in: 8, full: 32, out: 8, empty: 0 }
    expect(codes(breath({ pattern: retention, pace: second }))).toEqual([])
    const [slow] = inTheWay(aTalk(), breath({ pattern: retention, pace: { num: 2000, den: 1 } }))
    expect(slow).toEqual({
      code: 'RETENTION_LONG',
      path: 'blocks[1].sections[0].pattern.full',
      facts: { isS: 32, mostS: 30 },
    })
  })

  test('has at most 1,200 rounds, counted or in a time', () => {
    expect(codes(breath({ amount: { sets: 3, roundsPerSet: 400 } }))).toEqual([])
    expect(inTheWay(breath({ amount: { sets: 3, roundsPerSet: 401 } }))).toEqual([
      { code: 'ROUNDS_MANY', path: 'blocks[0].sections[0].amount', facts: { is: 1203, most: 1200 } },
    ])
    const quick = { in: 2, full: 0, out: 2, empty: 0 }
    const filling = (fillS: number) =>
      breath({ pattern: quick, amount: { fillS, roundsPerSet: 500 }, restBetweenSetsS: 0 })
    expect(codes(filling(2400))).toEqual([])
    expect(codes(filling(2403))).toEqual(['ROUNDS_MANY'])
    const over = { techniqueId: 'long-exhale', pattern: quick, pace: second }
    expect(codes(aHold('deer', { hold: { holdS: 1300 }, breathOver: over }))).toEqual(['ROUNDS_MANY'])
    expect(codes(aHold('deer', { hold: { holdS: 1300 }, breathOver: { ...over, rounds: 600 } }))).toEqual([])
  })

  test('natural breath of any length is none', () => {
    expect(codes(breath({ amount: { naturalS: 3600 } }))).toEqual([])
  })
})

describe('a session in all', () => {
  const holds = (count: number) => Array.from({ length: count }, (_, at) => aHold('deer', { id: `deer-${String(at)}` }))

  test('comes to at most four hours, what lies around the holds included', () => {
    const talks = Array.from({ length: 2 }, (_, at) => aTalk(`talk-${String(at)}`, composedMostS / 2))
    expect(inTheWay(...talks)).toEqual([])
    const more = inTheWay(...talks, aTalk('more', 5))
    expect(more).toEqual([
      { code: 'COMPOSED_LONG', path: 'blocks', facts: { isS: composedMostS + 5, mostS: composedMostS } },
    ])
    // Twelve holds of ten minutes a side are four hours; what lies around them is found when it is laid out.
    const held = holds(12).map((hold) => ({ ...hold, hold: { holdS: 600 } }))
    expect(codes(...held)).toEqual(['COMPOSED_LONG'])
    expect(codes(...held.slice(3))).toEqual([])
  })

  test('on its way to be fitted may be longer, never past what may be laid out', () => {
    const long = aSession(holds(14).map((hold) => ({ ...hold, hold: { holdS: 600 } })))
    expect(compileTimeline(long, shippedCatalog)).toMatchObject({ ok: false, code: 'COMPOSED_LONG' })
    expect(compileToFit(long, shippedCatalog)).toMatchObject({ ok: true })
    const many = aSession([breath({ amount: { sets: 20, roundsPerSet: 500 } })])
    expect(compileToFit(many, shippedCatalog)).toMatchObject({ ok: false, code: 'ROUNDS_MANY' })
  })

  test('that would come to millions of stretches is refused before one is laid out', () => {
    // Laid out it takes half a minute and gigabytes: that it comes back at all is what is tested.
    const pattern = { in: 1, full: 1, out: 1, empty: 1 }
    const blocks = Array.from({ length: 200 }, (_, at) =>
      breath({ id: `b${String(at)}`, pattern, amount: { sets: 20, roundsPerSet: 500 } }),
    )
    expect(new Set(codes(...blocks))).toEqual(new Set(['ROUNDS_MANY']))
    const long = blocks.map(({ id }) => breath({ id, pattern, amount: { sets: 3, roundsPerSet: 400 } }))
    expect(codes(...long)).toEqual(['COMPOSED_LONG'])
  })
})

test('what is nowhere is told first, all of it; then a breath without counts', () => {
  expect(inTheWay(aHold('nowhere'), breath({ techniqueId: 'unheard' }), aClosing())).toEqual([
    { code: 'UNKNOWN_REFERENCE', path: 'blocks[0].poseId', facts: { id: 'nowhere' } },
    { code: 'UNKNOWN_REFERENCE', path: 'blocks[1].sections[0].techniqueId', facts: { id: 'unheard' } },
  ])
  expect(codes(aHold('deer', { breathOver: { techniqueId: 'watching-the-breath' } }))).toEqual([
    'TECHNIQUE_NOT_COUNTED',
  ])
})

test('property: nothing stands in the way of exactly those that compile, and what compiles is within the limits', () => {
  fc.assert(
    fc.property(sessions(20), (session) => {
      const stands = inTheWayOf(session, shippedCatalog)
      const compiled = compileTimeline(session, shippedCatalog)
      expect(compiled.ok).toBe(stands.length === 0)
      if (!compiled.ok) {
        expect(compiled.code).toBe(stands[0]?.code)
        return
      }
      const { totalMs, segments } = compiled.value
      expect(totalMs).toBeLessThanOrEqual(composedMostS * 1000)
      for (const { doing, startMs, endMs } of segments) {
        if (doing.kind !== 'breath') continue
        const isHeld = doing.part === 'full' || doing.part === 'empty'
        // A millisecond more may come of an odd pace.
        if (isHeld) expect(endMs - startMs).toBeLessThanOrEqual(breathTimeLimits.retentionMostMs + 1)
      }
    }),
  )
})
