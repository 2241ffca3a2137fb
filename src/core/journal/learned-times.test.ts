import fc from 'fast-check'
import type { LeadEvent } from '#core/lead'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { resolveSession } from '#core/session'
import type { Catalog } from '#core/session'
import { shippedCatalog } from '#library/shipped'
import { aLedClass } from '#testing/led-classes'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { learnedTimes, mostRecords, seenTimes, usedTimes } from './index.ts'
import type { SeenTime } from '#model/seen-time'

const around = { setUpS: 20, settleS: 10, comingOutS: 10, betweenSidesS: 0, afterRestS: 0 }
const hold = (poseId: string, more: Parameters<typeof aHold>[1] = {}) =>
  aHold(poseId, { times: around, hold: { holdS: 60 }, setUpItems: [], ...more })
/** Talk 0–60; coming down 60–85, set-up 85–105, settling 105–115, hold 115–175, out of it 175–185; and on to deer. */
const session: Session = aSession([
  { ...aTalk('talk', 60), text: 'word '.repeat(50) },
  hold('knees-to-chest'),
  hold('cross-legged-seat'),
])
const seen = (log: readonly LeadEvent[], of = session, more: Parameters<typeof aLedClass>[2] = {}) =>
  seenTimes(aLedClass(of, log, more), shippedCatalog.changes).map(({ key, s }) => [key, s])
const spans = aLedClass(session).plan.segments
const startOf = (kind: string, blockId: string): number =>
  spans
    .slice(
      0,
      spans.findIndex((one) => one.blockId === blockId && one.doing.kind === kind),
    )
    .reduce((sum, { lengthMs }) => sum + lengthMs, 0)

describe('what a record teaches', () => {
  test('is what was ended, said to be settled, or stayed in: what ran out by the clock teaches nothing', () => {
    expect(seen([])).toEqual([])
    const setUp = startOf('setUp', 'knees-to-chest')
    expect(seen([{ type: 'end', atMs: setUp + 12_000 }])).toEqual([['setUp:knees-to-chest', 12]])
    expect(seen([{ type: 'settled', atMs: setUp + 12_000 }])).toEqual([['setUp:knees-to-chest', 12]])
    const [stayed] = seen([{ type: 'stay', atMs: setUp + 12_000 }])
    expect(stayed?.[0]).toBe('setUp:knees-to-chest')
    expect(stayed?.[1]).toBeGreaterThan(20)
  })

  test('a pause belongs to a set-up and to settling, not to coming out', () => {
    const [setUp, out] = [startOf('setUp', 'knees-to-chest'), startOf('comingOut', 'knees-to-chest')]
    const paused = (from: number): LeadEvent[] => [
      { type: 'pause', atMs: from + 2000 },
      { type: 'resume', atMs: from + 32_000 },
      { type: 'end', atMs: from + 36_000 },
    ]
    expect(seen(paused(setUp))).toEqual([['setUp:knees-to-chest', 36]])
    expect(seen(paused(out))).toEqual([])
    expect(seen([{ type: 'end', atMs: out + 7000 }])).toEqual([['comingOut:knees-to-chest', 7]])
  })

  test('nothing of a class that was left, nor of a part in which the page slept', () => {
    const setUp = startOf('setUp', 'knees-to-chest')
    const log: LeadEvent[] = [{ type: 'end', atMs: setUp + 12_000 }]
    expect(seen(log, session, { left: true })).toEqual([])
    expect(seen([{ type: 'gap', seenMs: setUp + 1000, atMs: setUp + 3000 }, ...log])).toEqual([])
  })

  test('of a form it is the form’s, of a talk how fast its words are said', () => {
    expect(seen([{ type: 'end', atMs: 30_000 }])).toEqual([['pace', 60]])
    const [form] = shippedCatalog.poses.get('deer')?.variants ?? []
    const formed = aSession([hold('deer', { ...(form ? { variantId: form.id } : {}) })])
    const plan = aLedClass(formed).plan.segments
    const at = plan.slice(
      0,
      plan.findIndex(({ doing }) => doing.kind === 'settle'),
    )
    const settle = at.reduce((sum, { lengthMs }) => sum + lengthMs, 0)
    expect(seen([{ type: 'end', atMs: settle + 4000 }], formed)).toEqual([[`settle:deer:${form?.id ?? ''}`, 4]])
  })

  test('a change is of coming over without props, of the props where they make it, of neither where it was set', () => {
    const change = startOf('change', 'cross-legged-seat')
    const over = shippedCatalog.changes.supine.seated
    expect(seen([{ type: 'end', atMs: change + 18_000 }])).toEqual([['change:supine>seated', 18]])
    const many = seen([{ type: 'end', atMs: change + 18_000 }], session, { people: 24 })
    expect(many[0]?.[1]).toBeLessThan(18)
    const bolster = { id: 'b', kind: 'rectBolster' as const, count: 1, under: 'knees' as const }
    const propped = aSession([hold('knees-to-chest', { setUpItems: [bolster] }), hold('cross-legged-seat')])
    const changeIn = (catalog: Catalog = shippedCatalog) => {
      const { segments } = aLedClass(propped, [], { catalog }).plan
      const index = segments.findIndex(
        ({ doing, blockId }) => doing.kind === 'change' && blockId === 'cross-legged-seat',
      )
      const fromMs = segments.slice(0, index).reduce((sum, { lengthMs }) => sum + lengthMs, 0)
      return { fromMs, plannedMs: segments[index]?.lengthMs ?? 0 }
    }
    const { fromMs, plannedMs } = changeIn()
    expect(plannedMs).toBeGreaterThan(over * 1000)
    expect(seen([{ type: 'end', atMs: fromMs + plannedMs / 2 }], propped)).toEqual([['changeover', 50]])
    // By the estimate, however long it was planned by what had been learned.
    const catalog = { ...shippedCatalog, learned: new Map([['changeover regular', 200]]) }
    const slow = changeIn(catalog)
    expect(slow.plannedMs).toBe(2 * plannedMs)
    expect(seen([{ type: 'end', atMs: slow.fromMs + plannedMs }], propped, { catalog })).toEqual([['changeover', 100]])
    const set = aSession([hold('knees-to-chest'), hold('cross-legged-seat', { times: { ...around, changeS: 40 } })])
    expect(seen([{ type: 'end', atMs: change - 60_000 + 18_000 }], set)).toEqual([])
  })
})

const record = (s: number, day: number, more: Partial<SeenTime> = {}): SeenTime => ({
  ...{ key: 'setUp:deer', level: 'regular', people: 8, s },
  startedAt: `2026-03-${String(day).padStart(2, '0')}T18:00:00.000Z`,
  ...more,
})
const learn = (records: readonly SeenTime[], more: Partial<Parameters<typeof learnedTimes>[0]> = {}) =>
  learnedTimes({ seen: records, said: {}, catalog: shippedCatalog, ...more })
const defaultS = shippedCatalog.poses.get('deer')?.times.setUpS.regular ?? 0
const at = 'setUp:deer regular'

describe('what is learned', () => {
  test('wants three records; then default, records and result stand side by side, oldest first', () => {
    expect(learn([record(60, 1), record(60, 2)])).toMatchObject([{ usedS: defaultS, from: 'default' }])
    const [time] = learn([record(80, 3), record(60, 1), record(70, 2)])
    expect(time).toMatchObject({ key: 'setUp:deer', level: 'regular', defaultS, seenS: [60, 70, 80], from: 'learned' })
    expect(time?.usedS).toBeGreaterThan(defaultS)
    expect(usedTimes(learn([record(60, 1), record(60, 2)])).size).toBe(0)
    expect(usedTimes(learn([record(80, 3), record(60, 1), record(70, 2)])).get(at)).toBe(time?.usedS)
  })

  test('a figure the teacher sets stands above; what was forgotten does not count, later records do', () => {
    const records = [record(60, 1), record(60, 2), record(60, 3)]
    expect(learn(records, { said: { [at]: { setS: 33 } } })[0]).toMatchObject({ usedS: 33, setS: 33, from: 'set' })
    const forgotten = { said: { [at]: { forgottenAt: '2026-03-02T20:00:00.000Z' } } }
    expect(learn(records, forgotten)[0]).toMatchObject({ seenS: [60], from: 'default' })
    expect(learn([], { said: { [at]: { setS: 33 } } })[0]).toMatchObject({ usedS: 33, seenS: [] })
  })

  test('classes of about the size teach; with too few of them those of the next sizes too', () => {
    const small = [1, 2, 3].map((day) => record(20, day, { people: 4 }))
    const large = [4, 5, 6].map((day) => record(80, day, { people: 20 }))
    expect(learn([...small, ...large], { people: 3 })[0]?.seenS).toEqual([20, 20, 20])
    expect(learn([...small, ...large], { people: 30 })[0]?.seenS).toEqual([80, 80, 80])
    expect(learn([...small, ...large.slice(0, 2)], { people: 8 })[0]?.seenS).toEqual([20, 20, 20, 80, 80])
    expect(learn([...small, ...large])[0]?.seenS).toHaveLength(6)
  })

  test('levels are apart, what no shelf knows is left out, and only the newest records count', () => {
    const records = [record(60, 1), record(60, 2, { level: 'new' }), record(60, 3, { key: 'setUp:gone' })]
    expect(learn(records).map(({ key, level }) => `${key} ${level}`)).toEqual([at, 'setUp:deer new'])
    const many = Array.from({ length: mostRecords + 5 }, (_, n) =>
      record(n, 1, { startedAt: new Date(Date.UTC(2026, 0, 1 + n)).toISOString() }),
    )
    expect(learn(many)[0]?.seenS).toHaveLength(mostRecords)
    expect(learn(many)[0]?.seenS[0]).toBe(5)
  })

  test('a part that was left for hours teaches nothing, and nothing breaks by it', () => {
    const records = [record(60, 1), record(7200, 2), record(60, 3), record(60, 4)]
    expect(learn(records)[0]).toMatchObject({ seenS: [60, 60, 60], from: 'learned' })
  })

  test('of changes, props and speech it is by the table, the estimate and the usual pace', () => {
    const of = (key: string, s: number) => [1, 2, 3].map((day) => record(s, day, { key }))
    const times = learn([
      ...of('change:supine>seated', 60),
      ...of('changeover', 150),
      ...of('pace', 40),
      ...of('setUp:even-breath', 30),
    ])
    expect(times.map((time) => [time.key, time.defaultS])).toEqual([
      ['change:supine>seated', shippedCatalog.changes.supine.seated],
      ['changeover', 100],
      ['pace', 55],
      ['setUp:even-breath', shippedCatalog.techniques.get('even-breath')?.setUpS],
    ])
    for (const { usedS, seenS, defaultS: usual } of times) {
      expect(usedS).toBeGreaterThanOrEqual(Math.min(usual, ...seenS) - 5)
      expect(usedS).toBeLessThanOrEqual(Math.max(usual, ...seenS) + 5)
    }
  })

  test('property: no plan moves by more than the records say', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 400 }), { minLength: 3, maxLength: 12 }), (took) => {
        const times = learn(took.map((s, day) => record(s, day + 1)))
        const resolved = orThrow(
          resolveSession(aSession([aHold('deer')]), { ...shippedCatalog, learned: usedTimes(times) }),
        )
        const [deer] = resolved
        const setUpS = deer?.kind === 'hold' ? deer.times.setUpS.value : NaN
        expect(setUpS).toBeGreaterThanOrEqual(Math.min(defaultS, ...took) - 5)
        expect(setUpS).toBeLessThanOrEqual(Math.max(defaultS, ...took) + 5)
      }),
    )
  })
})
