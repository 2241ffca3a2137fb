import fc from 'fast-check'
import { seriesSchema } from '#model/series'
import type { Growth, Series } from '#model/series'
import type { BreathBlock, HoldBlock } from '#model/block'
import { sessionSchema } from '#model/session'
import type { Session } from '#model/session'
import { ladder, ladderSteps } from '#core/breath'
import { mainSection, resolveSession, usualHold } from '#core/session'
import { shippedCatalog as catalog } from '#library/shipped'
import { aBreath, aHold, aSession, aTalk } from '#testing/sessions'
import { classesOfSeries, growWeeks } from './index.ts'
import type { GrownWeek } from './index.ts'

const base = aSession([
  aTalk('talk', 60),
  aHold('deer', { hold: { holdS: 150 } }),
  aHold('sphinx', { hold: { holdS: 120 } }),
  aHold('figure-four-lying', { hold: { leftS: 120, rightS: 150, why: 'the left knee' } }),
])
const grow = (growth: readonly Growth[], weeks: number, of: Session = base): readonly GrownWeek[] =>
  growWeeks({ base: of, growth: [...growth], weeks, catalog })
const holdIn = ({ session }: GrownWeek, id: string) =>
  session.blocks.find((block): block is HoldBlock => block.id === id && block.kind === 'hold')
const newsOf = (weeks: readonly GrownWeek[]) => weeks.map(({ news }) => news)

const deerLonger: Growth = { id: 'a', kind: 'longer', blockId: 'deer', everyWeeks: 2, mostS: 240 }

describe('what grows', () => {
  test('a hold grows a step one can say every so many weeks, 30 s from three minutes, up to its figure and no further', () => {
    const weeks = grow([deerLonger], 14)
    expect(weeks.map((week) => holdIn(week, 'deer')?.hold)).toEqual(
      [150, 150, 165, 165, 180, 180, 210, 210, 240, 240, 240, 240, 240, 240].map((holdS) => ({ holdS })),
    )
    expect(newsOf(weeks)[2]).toEqual([{ blockId: 'deer', is: 'longer', fromS: 150, toS: 165 }])
    expect(newsOf(weeks).slice(9).flat()).toEqual([])
  })

  test('sides that were set apart grow apart, and each stays within the usual top', () => {
    const weeks = grow([{ id: 'a', kind: 'longer', blockId: 'figure-four-lying', everyWeeks: 1 }], 60)
    expect(holdIn(weeks[1] as GrownWeek, 'figure-four-lying')?.hold).toMatchObject({ leftS: 135, rightS: 165 })
    const pose = catalog.poses.get('figure-four-lying')
    const { toS } = pose ? usualHold(pose, base.practice, base.level) : { toS: 0 }
    const last = holdIn(weeks.at(-1) as GrownWeek, 'figure-four-lying')?.hold
    expect(last).toMatchObject({ rightS: Math.max(150, toS) })
  })

  test('less is said, from the middle on, until so many things are left; what sounds goes on sounding', () => {
    const cues = ['one', 'two', 'three'].map((id, at) => ({ id, at: { fromStartS: 20 * at + 10 }, text: id }))
    const bell = { id: 'bell', at: { share: 0.5 }, text: 'half', sound: { kind: 'bowl' as const, strokes: 1 } }
    const of = aSession([aHold('deer', { cues: [...cues, bell] })])
    const weeks = grow([{ id: 'a', kind: 'quieter', blockId: 'deer', everyWeeks: 1, least: 1 }], 6, of)
    const said = weeks.map((week) => holdIn(week, 'deer')?.cues?.flatMap(({ text }) => text ?? []))
    expect(said).toEqual([
      ['one', 'two', 'three', 'half'],
      ['one', 'two', 'half'],
      ['one', 'half'],
      ['one'],
      ['one'],
      ['one'],
    ])
    expect(holdIn(weeks.at(-1) as GrownWeek, 'deer')?.cues).toContainEqual({
      ...{ id: 'bell', at: { share: 0.5 }, sound: { kind: 'bowl', strokes: 1 } },
    })
  })

  test('blocks come where the base has them, and go; a pose takes the place of another', () => {
    const weeks = grow(
      [
        { id: 'a', kind: 'comes', blockId: 'sphinx', week: 3 },
        { id: 'b', kind: 'goes', blockId: 'talk', week: 2 },
        { id: 'c', kind: 'instead', blockId: 'deer', week: 2, poseId: 'stacked-knees' },
      ],
      3,
    )
    expect(weeks.map(({ session }) => session.blocks.map(({ id }) => id))).toEqual([
      ['talk', 'deer', 'figure-four-lying'],
      ['deer', 'figure-four-lying'],
      ['deer', 'sphinx', 'figure-four-lying'],
    ])
    expect(newsOf(weeks)).toEqual([
      [],
      [
        { blockId: 'talk', is: 'goes' },
        { blockId: 'deer', is: 'instead', poseId: 'stacked-knees', before: 'deer' },
      ],
      [{ blockId: 'sphinx', is: 'comes' }],
    ])
  })

  test('a block takes one thing a week: what is due as well waits for the next', () => {
    const weeks = grow(
      [
        { id: 'a', kind: 'instead', blockId: 'deer', week: 3, poseId: 'stacked-knees' },
        { id: 'b', kind: 'longer', blockId: 'deer', everyWeeks: 2 },
      ],
      4,
    )
    expect(newsOf(weeks).map((news) => news.map(({ is }) => is))).toEqual([[], [], ['instead'], ['longer']])
  })

  test('a rule whose block, form or pose is not there does nothing', () => {
    const weeks = grow(
      [
        { id: 'a', kind: 'longer', blockId: 'nobody', everyWeeks: 1 },
        { id: 'b', kind: 'form', blockId: 'deer', week: 2, variantId: 'no-such-form' },
        { id: 'c', kind: 'instead', blockId: 'deer', week: 2, poseId: 'no-such-pose' },
        { id: 'd', kind: 'longer', blockId: 'talk', everyWeeks: 1 },
      ],
      3,
    )
    expect(weeks.map(({ session }) => session)).toEqual([base, base, base])
  })
})

describe('breath by its two threads', () => {
  const course = aSession([aBreath('belly-breath', { id: 'lesson' }), aBreath('even-breath', { id: 'ratio' })])
  const rule: Growth = { id: 'a', kind: 'ladder', blockId: 'ratio', startStep: 5, perWeek: 3, evenWeeksBefore: 6 }
  const mainOf = ({ session }: GrownWeek, id: string) => {
    const block = session.blocks.find((one): one is BreathBlock => one.id === id && one.kind === 'breath')
    return block?.sections[mainSection(block.sections)]
  }

  test('a block takes the steps of the ladder, each with its counts and its time', () => {
    const weeks = grow([rule], 8, course)
    const made = ladder({ startStep: 5, weeks: 8, perWeek: 3, evenWeeksBefore: 6 })
    const steps = made.ok ? made.value.map(({ step }) => step) : []
    expect(weeks.map((week) => mainOf(week, 'ratio'))).toMatchObject(
      steps.map((step) => ({
        ...{ kind: 'rounds', pattern: ladderSteps[step]?.pattern },
        amount: { fillS: (ladderSteps[step]?.minutes ?? 0) * 60 },
      })),
    )
    expect(newsOf(weeks).flat().at(0)).toMatchObject({ blockId: 'ratio', is: 'step', from: 5 })
  })

  test('how it is sat, said, rested and counted stays; what was practised does not', () => {
    const of: BreathBlock = {
      ...{ kind: 'breath', id: 'ratio' },
      sections: [
        {
          ...{ kind: 'rounds', id: 'mine', techniqueId: 'even-breath', seat: 'chair', say: 'As it comes', restS: 40 },
          ...{ countedRounds: 2, amount: { fillS: 300, roundsPerSet: 9 }, nostrils: 'alternate' },
        },
      ],
    }
    const [first] = grow([rule], 1, aSession([of]))
    expect(first && mainOf(first, 'ratio')).toEqual({
      ...{ kind: 'rounds', id: 'mine', techniqueId: 'even-breath', seat: 'chair', say: 'As it comes', restS: 40 },
      ...{ countedRounds: 2, amount: { fillS: 480, roundsPerSet: 9 }, pattern: ladderSteps[5]?.pattern },
    })
  })

  test('a new technique at its easiest is the one new thing of its week, and the ratio waits', () => {
    const lessons = { blockId: 'lesson', techniqueIds: ['three-part-breath'], from: 2 }
    const weeks = grow([{ ...rule, lessons }], 5, course)
    expect(newsOf(weeks)[1]).toEqual([{ blockId: 'lesson', is: 'lesson', techniqueId: 'three-part-breath', lesson: 1 }])
    expect(weeks[1]?.session.blocks[0]).toMatchObject({
      sections: expect.arrayContaining([expect.objectContaining({ kind: 'lesson', lesson: 1 })]) as unknown,
    })
  })
})

const series = (more: Partial<Series> = {}): Series =>
  seriesSchema.parse({
    ...{ schema: 1, id: 'thursdays', name: 'Thursdays', baseId: base.id, weekdays: ['TH'], startsAt: '19:00' },
    ...{ firstDay: '2026-03-05', weeks: 6, people: [], guests: 8, growth: [deerLonger], classes: [], ...more },
  })
const thursdays = ['2026-03-05', '2026-03-12', '2026-03-19', '2026-03-26', '2026-04-02', '2026-04-09']
const classes = (more: Partial<Series> = {}, days: readonly string[] = thursdays) =>
  classesOfSeries({ series: series(more), base, days, catalog })
const deerOf = ({ session }: { readonly session: Session }) =>
  session.blocks.find((block) => block.kind === 'hold' && block.id === 'deer')

describe('the classes of a series', () => {
  test('each has its week, its day and what it grew to', () => {
    expect(classes().map(({ n, week, day, startsAt }) => [n, week, day, startsAt])).toEqual(
      thursdays.map((day, at) => [at + 1, at + 1, day, '19:00']),
    )
    expect(classes().map((one) => deerOf(one))).toMatchObject(
      [150, 150, 165, 165, 180, 180].map((holdS) => ({ hold: { holdS } })),
    )
  })

  test('a class that is left out keeps its place; the rest is moved only when it is asked', () => {
    const out = { n: 3, leftOut: 'holiday' }
    expect(classes({ classes: [out] })[2]).toMatchObject({ leftOut: 'holiday', day: '2026-03-19' })
    expect(classes({ classes: [out] }).map((one) => deerOf(one))).toEqual(classes().map((one) => deerOf(one)))
    const moved = classes({ classes: [out], waits: [3] })
    expect(moved.map((one) => deerOf(one))).toMatchObject(
      [150, 150, 150, 165, 165, 180].map((holdS) => ({ hold: { holdS } })),
    )
    expect(moved.map(({ waits, news }) => [waits, news.length])).toEqual(
      [
        [false, 0],
        [true, 0],
        [false, 1],
        [false, 0],
        [false, 1],
      ].toSpliced(0, 0, [false, 0]),
    )
  })

  test('what came in a week nobody met in is new in the next class that is held', () => {
    const held = classes({
      growth: [{ ...deerLonger, everyWeeks: 1 }],
      classes: [
        { n: 3, leftOut: '' },
        { n: 4, leftOut: '' },
      ],
    })
    expect(held.map(({ news }) => news)).toEqual([
      [],
      [{ blockId: 'deer', is: 'longer', fromS: 150, toS: 165 }],
      [],
      [],
      [{ blockId: 'deer', is: 'longer', fromS: 165, toS: 240 }],
      [],
    ])
  })

  test('what a class led by a plan of its own did not have is new in the next one that has it', () => {
    const all = series({ growth: [{ ...deerLonger, everyWeeks: 1 }], classes: [{ n: 2, sessionId: 'own' }] })
    const newsWith = (mine: Session | undefined) =>
      classesOfSeries({ series: all, base, days: thursdays, catalog, own: () => mine }).map(({ news }) => news)
    const second = classes({ growth: all.growth })[1]?.session
    const first = { blockId: 'deer', is: 'longer', fromS: 150, toS: 165 }
    const next = { blockId: 'deer', is: 'longer', fromS: 165, toS: 180 }
    // A version of what it grew to had it; the base as it is had not.
    expect(newsWith(second).slice(1, 3)).toEqual([[first], [next]])
    // So had one with something else changed of the block besides.
    const noted = second && {
      ...second,
      blocks: second.blocks.map((block) => (block.id === 'deer' ? { ...block, note: 'a blanket more' } : block)),
    }
    expect(newsWith(noted).slice(1, 3)).toEqual([[first], [next]])
    expect(newsWith(base).slice(1, 3)).toEqual([[], [{ ...next, fromS: 150 }]])
    expect(newsWith(undefined).slice(1, 3)).toEqual([[first], [next]])
  })

  test('a class that is moved keeps its order, and one led by another session has that', () => {
    const [, second] = classes({ classes: [{ n: 2, day: '2026-03-14', startsAt: '10:00', sessionId: 'another' }] })
    expect(second).toMatchObject({ n: 2, day: '2026-03-14', startsAt: '10:00', isMoved: true, sessionId: 'another' })
  })

  test('two classes of a week are led by the same, and a week without a class is none', () => {
    const days = ['2026-03-03', '2026-03-05', '2026-03-17', '2026-03-19']
    const twice = classes({ growth: [{ ...deerLonger, everyWeeks: 1 }] }, days)
    expect(twice.map(({ week }) => week)).toEqual([1, 1, 2, 2])
    expect(twice.map((one) => deerOf(one))).toMatchObject([150, 150, 165, 165].map((holdS) => ({ hold: { holdS } })))
  })
})

const anyRule: fc.Arbitrary<Growth> = fc.oneof(
  fc.record({
    ...{ id: fc.uuid(), kind: fc.constant('longer' as const) },
    ...{
      blockId: fc.constantFrom('deer', 'sphinx', 'figure-four-lying', 'talk'),
      everyWeeks: fc.integer({ min: 1, max: 4 }),
    },
  }),
  fc.record({
    ...{ id: fc.uuid(), kind: fc.constant('quieter' as const), blockId: fc.constantFrom('deer', 'sphinx') },
    ...{ everyWeeks: fc.integer({ min: 1, max: 4 }), least: fc.nat(3) },
  }),
  fc.record({
    ...{ id: fc.uuid(), kind: fc.constantFrom('comes' as const, 'goes' as const) },
    ...{ blockId: fc.constantFrom('deer', 'sphinx', 'talk'), week: fc.integer({ min: 1, max: 12 }) },
  }),
  fc.record({
    ...{ id: fc.uuid(), kind: fc.constant('instead' as const), blockId: fc.constantFrom('deer', 'sphinx') },
    ...{ week: fc.integer({ min: 1, max: 12 }), poseId: fc.constantFrom('stacked-knees', 'sphinx', 'wide-knee-fold') },
  }),
  fc.record({
    ...{ id: fc.uuid(), kind: fc.constant('form' as const), blockId: fc.constantFrom('deer', 'sphinx') },
    ...{ week: fc.integer({ min: 1, max: 12 }) },
    variantId: fc.constantFrom(null, ...(catalog.poses.get('sphinx')?.variants ?? []).map(({ id }) => id)),
  }),
)

test('property: at most one thing a week and block, never past the usual top or the first ceiling, every week a whole session, the same each time', () => {
  fc.assert(
    fc.property(fc.array(anyRule, { maxLength: 8 }), fc.integer({ min: 1, max: 14 }), (growth, count) => {
      const weeks = grow(growth, count)
      expect(grow(growth, count)).toEqual(weeks)
      const tops = new Map(
        base.blocks.flatMap((block) =>
          block.kind === 'hold' ? [[block.id, holdIn({ session: base } as GrownWeek, block.id)?.hold] as const] : [],
        ),
      )
      weeks.forEach(({ session, news }) => {
        expect(new Set(news.map(({ blockId }) => blockId)).size).toBe(news.length)
        expect(sessionSchema.safeParse(session).error).toBeUndefined()
        const resolved = resolveSession(session, catalog)
        expect(resolved.ok).toBe(true)
        if (!resolved.ok) return
        for (const block of resolved.value) {
          if (block.kind !== 'hold') continue
          const usualTopS = usualHold(block.pose, session.practice, session.level).toS
          const was = tops.get(block.block.id)
          const wasS = was === undefined ? 0 : 'holdS' in was ? was.holdS : Math.max(was.leftS, was.rightS)
          const heldS = Math.max(...block.sides.map(({ holdS }) => holdS))
          // What the base itself holds longer is not grown, and stays.
          expect(heldS).toBeLessThanOrEqual(Math.max(wasS, Math.min(usualTopS, block.ceilingS)))
        }
      })
    }),
    { numRuns: 60 },
  )
})
