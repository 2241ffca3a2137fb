import type { Section } from '#model/section'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aRetention, breathing, someRounds } from '#testing/breath-documents'
import { countedRun, roundsIn } from '../counted-run.ts'
import { breathNow, fold, leadPlan, refitBook, soundsDue, stageOf, step, waysOf } from '../index.ts'
import type { LeadEvent, LeadState, Way } from '../index.ts'

/** Breath work in a class, looked at in the talk before it. */
function led(...sections: Section[]) {
  const session = breathing(sections, { stage: 4 })
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const plan = leadPlan(timeline, {})
  const book = refitBook(timeline, session, shippedCatalog)
  const state = fold(plan, [], 1000)
  const endOf = (now: LeadState) => {
    const stage = stageOf(plan, now)
    return stage.is === 'ended' ? now.nowMs : stage.endsAtMs
  }
  const less = (byMs: number): Way | undefined =>
    waysOf({ plan, state, book, endMs: endOf(state) - byMs }).find(({ way }) => way === 'fewerRounds')
  const taken = (way: Way | undefined): LeadState => {
    const { lengths = [], leaves = [] } = way ?? {}
    return step(plan, state, { type: 'refit', way: 'fewerRounds', lengths, leaves, atMs: 1000 })[0]
  }
  /** Rounds of each counted run then. */
  const rounds = (way: Way | undefined): number[] =>
    plan.segments.flatMap(({ index, doing }) => {
      const run = countedRun(doing)
      return run ? [roundsIn(run, taken(way).lengths[index] ?? 0)] : []
    })
  return { plan, less, taken, rounds, endOf }
}
const sets = (sizes: number, roundsPerSet: number): Section =>
  someRounds({ amount: { sets: sizes, roundsPerSet }, restS: 20 })
const changed = (way: Way | undefined) => way?.changed.find(({ of }) => of === 'rounds')?.rounds

describe('fewer rounds', () => {
  it('go from the last set, and no further than half of them', () => {
    const two = led(sets(2, 10))
    const roundMs = (countedMs(two.plan) ?? 0) / 10
    expect(two.rounds(two.less(roundMs * 2.5))).toEqual([10, 7])
    expect(two.rounds(two.less(3_600_000))).toEqual([10, 0])
    expect(two.less(3_600_000)?.fits).toBe(false)
    expect(changed(two.less(3_600_000))).toEqual({ from: 20, to: 10 })
    expect(led(sets(1, 3)).less(60_000)).toBeUndefined()
  })

  it('a set that is gone takes its rest with it', () => {
    const two = led(sets(2, 10))
    const after = two.taken(two.less(3_600_000))
    const rest = two.plan.segments.find(({ doing }) => doing.kind === 'breath' && doing.part === 'rest')
    expect(after.lengths[rest?.index ?? -1]).toBe(0)
  })

  it('come to the end that was said to the second, what is over going to the final rest', () => {
    const one = led(sets(1, 20))
    const way = one.less(17_000)
    expect(way?.fits).toBe(true)
    expect(one.endOf(one.taken(way))).toBe(way?.endsMs)
    expect(way?.changed.map(({ of }) => of)).toEqual(['rounds', 'finalRest'])
  })

  it('places for the hands lose the same number each, and the hands are told where to go in the last round there is', () => {
    const stations = ['front', 'sides', 'back'].map((place) => ({ place, rounds: 6 }))
    const places = led({ ...someRounds({ stations }), amount: undefined })
    const way = places.less(40_000)
    const now = places.rounds(way)
    expect(new Set(now).size).toBe(1)
    expect(now[0]).toBeLessThan(6)
    const told = (state: LeadState) =>
      Array.from({ length: 400 }, (_, at) => stageOf(places.plan, fold(places.plan, eventsOf(way), at * 1000)))
        .flatMap((stage) => (stage.is === 'breathing' && stage.says !== undefined ? [stage.says] : []))
        .some((says) => says.includes('Next: sides')) && state.phase === 'running'
    expect(told(places.taken(way))).toBe(true)
  })

  it('a slope loses its middle, and comes back as it was', () => {
    const slope = { part: 'out', byHalf: 2, everySets: 1, to: 14 } as const
    const sloped = led(
      someRounds({
        pattern: { in: 8, full: 0, out: 8, empty: 0 },
        amount: { sets: 9, roundsPerSet: 3 },
        slope,
      }),
    )
    const planned = sloped.rounds(undefined)
    const now = sloped.rounds(sloped.less(60_000))
    const differ = planned.flatMap((rounds, at) => (now[at] === rounds ? [] : [at]))
    expect(now.reduce((sum, rounds) => sum + rounds, 0)).toBeLessThan(27)
    // The first and the last sets are as planned.
    expect(Math.min(...differ)).toBeGreaterThan(1)
    expect(Math.max(...differ)).toBeLessThan(planned.length - 1)
  })

  it('never touches a retention', () => {
    const held = led(aRetention(), { kind: 'natural', id: 'after', s: 60 })
    expect(held.less(60_000)).toBeUndefined()
  })

  it('counts and sounds only the rounds that are left, and says how many', () => {
    const one = led(sets(1, 20))
    const way = one.less(30_000)
    const [left = 0] = one.rounds(way)
    const startMs = one.plan.segments.slice(0, firstRun(one.plan)).reduce((sum, { lengthMs }) => sum + lengthMs, 0)
    const now = fold(one.plan, eventsOf(way), startMs + 2000)
    expect(breathNow(one.plan, now)).toMatchObject({ round: 1, rounds: left })
    const ticks = soundsDue(one.plan, now).filter(({ key }) => key.endsWith(`@${String(firstRun(one.plan))}`))
    expect(Math.max(...ticks.map(({ atMs }) => atMs))).toBeLessThan(startMs + (now.lengths[firstRun(one.plan)] ?? 0))
  })
})

type Plan = ReturnType<typeof leadPlan>
const firstRun = ({ segments }: Plan): number => segments.findIndex(({ doing }) => countedRun(doing) !== undefined)
const countedMs = (plan: Plan): number | undefined => plan.segments[firstRun(plan)]?.lengthMs
const eventsOf = (way: Way | undefined): LeadEvent[] =>
  way ? [{ type: 'refit', way: way.way, lengths: way.lengths, leaves: way.leaves, atMs: 1000 }] : []
