import fc from 'fast-check'
import type { BreakPart, LongDay, Part } from '#model/long-day'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { clockS, findInDay, layOutDay, loadOf, sumsOfDay } from './index.ts'
import type { LongDayFinding, SessionOfDay } from './index.ts'

const hour = 3600
const session = (id: string, startsAt?: string): Part => ({
  ...{ kind: 'session', id, sessionId: id },
  ...(startsAt === undefined ? {} : { startsAt }),
})
const tea = (minutes: number, details: Partial<BreakPart> = {}): BreakPart => ({
  ...{ kind: 'break', id: `tea-${String(minutes)}`, name: 'Tea', s: minutes * 60 },
  ...details,
})

describe('a long day by the clock', () => {
  const day: Pick<LongDay, 'startsAt' | 'parts'> = {
    startsAt: '09:30',
    parts: [session('a'), tea(20), session('b', '11:15'), session('c', '11:30')],
  }
  const laid = layOutDay(day, () => hour)

  test('each part begins when what is before it is over, or later where it is to', () => {
    expect(laid.map(({ startS }) => startS)).toEqual([9.5 * hour, 10.5 * hour, 11.25 * hour, 12.25 * hour])
    expect(laid.map(({ freeS }) => freeS)).toEqual([0, 0, 25 * 60, 0])
  })

  test('one that was to begin earlier waits, and it is known by how much', () => {
    expect(laid.map(({ lateS }) => lateS)).toEqual([0, 0, 0, 45 * 60])
  })

  test('no two parts are at one time, whatever hours are set, and none is lost', () => {
    const hours = fc.option(
      fc.integer({ min: 0, max: 1439 }).map((minutes) => {
        const two = (n: number) => String(n).padStart(2, '0')
        return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`
      }),
      { nil: undefined },
    )
    const parts = fc.array(fc.tuple(hours, fc.integer({ min: 1, max: 360 })), { maxLength: 8 })
    fc.assert(
      fc.property(parts, (all) => {
        const made = all.map(([startsAt, minutes], at): Part => ({
          ...tea(minutes),
          ...(startsAt === undefined ? {} : { startsAt }),
          id: String(at),
        }))
        const times = layOutDay({ startsAt: '08:00', parts: made }, () => 0)
        expect(times.map(({ part }) => part)).toEqual(made)
        let overS = clockS('08:00')
        for (const { part, startS, endS, freeS, lateS } of times) {
          expect(startS).toBe(overS + freeS)
          expect(endS - startS).toBe(part.kind === 'break' ? part.s : 0)
          if (part.startsAt !== undefined) expect(startS).toBe(clockS(part.startsAt) + lateS)
          overS = endS
        }
      }),
    )
  })
})

/** A day of some sessions, each with half an hour of tea after it unless parts are given. */
function lookAt(
  sessions: readonly Session[],
  parts: readonly Part[] = sessions.flatMap(({ id }): Part[] => [session(id), { ...tea(30), id: `after-${id}` }]),
  more: Partial<{ startsAt: string; freeUntil: string; gone: string[] }> = {},
) {
  const known = new Map(
    sessions.map((one): [string, SessionOfDay] => [
      one.id,
      { session: one, timeline: orThrow(compileTimeline(one, shippedCatalog)) },
    ]),
  )
  const laid = layOutDay(
    { startsAt: more.startsAt ?? '09:00', parts: [...parts] },
    (id) => known.get(id)?.session.lengthS ?? 0,
  )
  const loads = new Map([...known].map(([id, one]) => [id, loadOf(one, shippedCatalog, { book: cautionBook })]))
  const look = { laid, sessions: known, gone: new Set(more.gone), loads, freeUntil: more.freeUntil }
  return { sums: sumsOfDay(laid, loads), found: findInDay(look) }
}
const codes = (found: readonly LongDayFinding[]) => found.map(({ code }) => code)
const of = <Code extends LongDayFinding['code']>(found: readonly LongDayFinding[], code: Code) =>
  found.filter((one): one is Extract<LongDayFinding, { code: Code }> => one.code === code)

const deer = (id: string, holdS: number): Session =>
  aSession([aTalk(), aHold('deer', { hold: { holdS } }), aClosing({ finalRestS: 300 })], { id, lengthS: 1800 })
const even = (id: string, rounds: number): Session =>
  aSession(
    [
      aBreath('even-breath', {
        amount: { sets: 1, roundsPerSet: rounds },
        pattern: { in: 8, full: 0, out: 8, empty: 0 },
      }),
      aClosing(),
    ],
    {
      ...{ id, lengthS: 1800 },
    },
  )

describe('a long day added up', () => {
  test('sessions, breaks and what is between them make up the day', () => {
    const { sums } = lookAt([deer('a', 180), deer('b', 240)], [session('a'), tea(30), session('b', '10:30')])
    expect(sums).toMatchObject({
      ...{ fromS: 9 * hour, toS: 11 * hour, sessionsS: hour, breaksS: 1800, freeS: 1800 },
    })
    // The seat of deer works the outer hip: three minutes and four, on each side.
    expect(sums?.stretched.find(({ target }) => target === 'outerHip')).toEqual({
      ...{ target: 'outerHip', side: 'both', ms: 420_000, sessions: 2 },
    })
    expect(sums?.lyingMs).toBe(2 * (300 + 120) * 1000 + 2 * changeIntoClosingMs)
    expect(lookAt([]).sums).toBeUndefined()
  })

  test('a side that is asked longer in the morning and in the evening is added up by itself', () => {
    const uneven = (id: string, leftS: number, rightS: number): Session =>
      aSession([aHold('deer', { hold: { leftS, rightS } }), aClosing()], { id })
    const side = (a: Session, b: Session) => lookAt([a, b]).sums?.stretched.find(({ target }) => target === 'outerHip')
    expect(side(uneven('a', 240, 60), uneven('b', 60, 240))).toMatchObject({ side: 'both', ms: 300_000 })
    expect(side(uneven('a', 240, 60), uneven('b', 240, 60))).toMatchObject({ side: 'left', ms: 480_000 })
  })

  test('counted breath is what is counted, natural breath left out', () => {
    expect(lookAt([even('a', 30), even('b', 45)]).sums?.breathMs).toBe(75 * 8000)
  })
})

/** The change into a closing from a seat, which is lain down in. */
const changeIntoClosingMs = (() => {
  const { segments, blocks } = orThrow(compileTimeline(deer('one', 180), shippedCatalog))
  const closing = segments.find(({ doing, blockIndex }) => doing.kind === 'change' && blockIndex === blocks.length - 1)
  return closing ? closing.endMs - closing.startMs : 0
})()

describe('what is found in a long day', () => {
  test('nothing in three hours with tea', () => {
    expect(lookAt([deer('a', 180), even('b', 60)], [session('a'), tea(30), session('b')]).found).toEqual([])
  })

  test('a session that is gone, a part that cannot begin when it is to, a day past midnight', () => {
    const { found } = lookAt([deer('a', 180)], [session('gone'), session('a', '08:30')], { gone: ['gone'] })
    expect(codes(found)).toEqual(['SESSION_GONE', 'BEGINS_LATE'])
    expect(of(found, 'BEGINS_LATE')).toMatchObject([{ partId: 'a', facts: { lateS: 1800 } }])
    expect(codes(lookAt([deer('a', 180)], [session('a')], { startsAt: '23:45' }).found)).toEqual(['PAST_MIDNIGHT'])
    expect(lookAt([deer('a', 180)], [session('a')], { startsAt: '23:30' }).found).toEqual([])
  })

  test('a room that is free until the last part is over, and a minute less', () => {
    const until = (freeUntil: string) => lookAt([deer('a', 180)], [session('a')], { freeUntil }).found
    expect(until('09:30')).toEqual([])
    expect(until('09:29')).toMatchObject([{ code: 'ROOM_NOT_FREE', partId: 'a', facts: { endS: 9.5 * hour } }])
  })

  test('people left lying before a break, unless the rest comes up in steps or the day is over', () => {
    const lying = (ending: object): Session =>
      aSession([aTalk(), { kind: 'rest', id: 'r', s: 600, basePosition: 'supine', ...ending }], {
        id: 'l',
        lengthS: 1800,
      })
    const codesOf = (one: Session, last: Part[]) => codes(lookAt([one, deer('a', 180)], [session('l'), ...last]).found)
    expect(codesOf(lying({}), [tea(30), session('a')])).toEqual(['ENDS_LYING'])
    expect(codesOf(lying({ ending: {} }), [tea(30), session('a')])).toEqual([])
    expect(codesOf(lying({}), [])).toEqual([])
  })

  test('breath work waits after what is eaten: its own time after a meal, half of it after a snack', () => {
    const after = (eaten: BreakPart['eaten'], startsAt: string) => {
      const lunch = tea(60, eaten ? { eaten } : {})
      return lookAt([even('b', 20)], [lunch, session('b', startsAt)]).found
    }
    // Lunch is over at ten; even breath asks for two hours.
    expect(after('meal', '11:59')).toMatchObject([
      { code: 'SOON_AFTER_MEAL', partId: 'b', facts: { techniqueId: 'even-breath', afterS: 119 * 60, gapS: 2 * hour } },
    ])
    expect(after('meal', '12:00')).toEqual([])
    expect(codes(after('snack', '10:59'))).toEqual(['SOON_AFTER_MEAL'])
    expect(after('snack', '11:00')).toEqual([])
    expect(after(undefined, '10:00')).toEqual([])
  })

  test('counted breath of several sessions past what one of their level has; one alone tells it in its plan', () => {
    // Twenty minutes for regular students are 150 rounds of eight seconds.
    expect(codes(lookAt([even('a', 75), even('b', 75)]).found)).toEqual([])
    expect(of(lookAt([even('a', 75), even('b', 76)]).found, 'BREATH_LONG_FOR_DAY')).toMatchObject([
      { facts: { s: 1208, mostS: 1200 } },
    ])
    expect(of(lookAt([even('a', 151)]).found, 'BREATH_LONG_FOR_DAY')).toEqual([])
  })

  test('the same hip past a quarter of an hour on one side, in more than one session', () => {
    expect(of(lookAt([deer('a', 450), deer('b', 450)]).found, 'STRETCHED_AGAIN')).toEqual([])
    const [found, another] = of(lookAt([deer('a', 450), deer('b', 480)]).found, 'STRETCHED_AGAIN')
    expect(found?.facts.regions).toContainEqual({ target: 'outerHip', side: 'both', ms: 930_000, sessions: 2 })
    expect(another).toBeUndefined()
    expect(of(lookAt([deer('a', 1000)]).found, 'STRETCHED_AGAIN')).toEqual([])
  })

  test('many hours lying, and many without a break', () => {
    const rest = (id: string, hours: number): Session =>
      aSession([aTalk(), aClosing({ finalRestS: hours * hour })], { id, lengthS: hours * hour + 600 })
    expect(codes(lookAt([rest('a', 1), rest('b', 1)]).found)).toEqual([])
    expect(codes(lookAt([rest('a', 1), rest('b', 2)]).found)).toEqual(['LYING_LONG'])
    const half = ['a', 'b', 'c', 'd'].map((id) => deer(id, 120))
    const inARow = half.map(({ id }) => session(id))
    expect(lookAt(half, inARow).found).toEqual([])
    const five = [...half, deer('e', 120)]
    expect(lookAt(five, [...inARow, session('e')]).found).toMatchObject([
      { code: 'NO_BREAK', partId: 'e', facts: { s: 9000 } },
    ])
    expect(lookAt(five, [...inARow.slice(0, 2), tea(10), ...inARow.slice(2), session('e')]).found).toEqual([])
    expect(lookAt(five, [...inARow.slice(0, 2), session('c', '10:10'), session('d'), session('e')]).found).toEqual([])
  })
})
