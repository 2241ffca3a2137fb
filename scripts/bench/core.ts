import type { Person } from '#model/person'
import { elevation } from '#core/figure'
import { changeover } from '#core/handling'
import { findStacks, inventoryFor } from '#core/props'
import { screen } from '#core/cautions'
import { checkSession } from '#core/checks'
import { comersOf, whoTakesWhat } from '#core/class'
import { resolveSession } from '#core/session'
import { beginLead, leadPlan, refitBook, soundsDue, step, waysOf } from '#core/lead'
import { compileTimeline, segmentAt } from '#core/timeline'
import { orThrow } from '#core/result'
import { cautionBook } from '#library/cautions/book'
import { conditions } from '#library/cautions/conditions'
import { namedFolds, propKinds } from '#library/prop-kinds'
import { setUps } from '#library/set-ups'
import { shippedCatalog } from '#library/shipped'
import { bellowsHouse } from '#server/demo/bellows-house'
import { benchSession } from '#testing/bench-session'
import { aHold, aSession } from '#testing/sessions'
import { makeBellSchedule } from '#web/shared/lead/bell-schedule.ts'
import { ms, quantile, report, times } from './measure.ts'

export function benchCore(): void {
  const session = benchSession()
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const phases = timeline.segments.filter(({ doing }) => doing.kind === 'breath').length
  const size = `${String(session.blocks.length)} blocks, ${String(Math.round(timeline.totalMs / 60_000))} min, ${String(phases)} breath phases`
  report(
    `compile (${size})`,
    `median ${ms(
      quantile(
        times(400, () => compileTimeline(session, shippedCatalog)),
        0.5,
      ),
    )}`,
    '< 2 ms',
  )
  const lookUps = times(200, () => {
    for (let at = 0; at < 1000; at += 1) segmentAt(timeline, (timeline.totalMs * at) / 1000)
  })
  report(
    `segmentAt (${String(timeline.segments.length)} segments), 1000 instants`,
    `median ${ms(quantile(lookUps, 0.5))}`,
    '—',
  )
}

/** Twenty holds for thirty people with three conditions each. */
export function benchScreening(): void {
  const poses = [...shippedCatalog.poses.keys()].slice(0, 20)
  const session = aSession(poses.map((id) => aHold(id)))
  const people = Array.from({ length: 30 }, (_, index): Person => ({
    id: `person-${String(index)}`,
    name: 'Somebody',
    level: 'regular',
    consents: [],
    conditions: [0, 1, 2].map((more) => ({
      id: conditions[(index * 3 + more) % conditions.length]?.id ?? 'knee',
      severe: more === 2 ? 'yes' : 'no',
      askedOn: '2026-01-01',
    })),
  }))
  const books = { catalog: shippedCatalog, book: cautionBook }
  const { entries } = orThrow(screen(session, people, books))
  const taken = times(60, () => screen(session, people, books))
  report(
    `screen (20 holds, 30 people, ${String(entries.length)} entries)`,
    `median ${ms(quantile(taken, 0.5))}`,
    '< 10 ms',
  )
  const planned = { id: 'now', people: people.map(({ id }) => ({ personId: id })), guests: 0 }
  const comers = comersOf(planned, people, [], session.level)
  const blocks = orThrow(resolveSession(session, shippedCatalog))
  const who = times(40, () => whoTakesWhat(blocks, comers, [], books))
  report('who takes what (20 holds, 30 people)', `median ${ms(quantile(who, 0.5))}`, '—')
}

/** Every sound of the class handed to a port that notes it, against its compiled instant. */
export function benchBells(): void {
  const timeline = orThrow(compileTimeline(benchSession(), shippedCatalog))
  const plan = leadPlan(timeline, {})
  const due = soundsDue(plan, beginLead(plan))
  const whens: number[] = []
  const bells = makeBellSchedule({
    now: () => 12.5,
    isRunning: () => true,
    schedule: (_sound, when) => whens.push(when),
    cancel: () => undefined,
  })
  const startMs = performance.now()
  bells.replace(due, 0, () => 0)
  const tookMs = performance.now() - startMs
  const worstMs = Math.max(...due.map(({ atMs }, index) => Math.abs(((whens[index] ?? NaN) - 12.5) * 1000 - atMs)))
  const minutes = String(Math.round(plan.totalMs / 60_000))
  report(
    `bells, ${String(due.length)} sounds over ${minutes} min, against the compiled instant`,
    `worst ${worstMs.toFixed(6)} ms`,
    '< 1 audio frame',
  )
  report('  handing all of them over', ms(tookMs), '—')
}

/** All findings of the bench session, which has many. */
export function benchChecks(): void {
  const session = benchSession()
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const input = { session, timeline, catalog: shippedCatalog, book: cautionBook }
  const found = checkSession(input).length
  report(
    `findings (40 blocks, ${String(found)} found)`,
    `median ${ms(
      quantile(
        times(100, () => checkSession(input)),
        0.5,
      ),
    )}`,
    '< 5 ms',
  )
}

/** Every shipped set-up laid out for three statures, and heights reached with the demo cupboard. */
export function benchProps(): void {
  const inputs = setUps.flatMap((setUp) => {
    const figure = setUp.figure ?? shippedCatalog.poses.get(setUp.poseId)?.figure
    return figure
      ? [150, 170, 190].map((statureCm) => ({ figure, items: setUp.items, kinds: propKinds, who: { statureCm } }))
      : []
  })
  for (const input of inputs) elevation(input)
  const medians = inputs.map((input) =>
    quantile(
      times(9, () => elevation(input)),
      0.5,
    ),
  )
  report(
    `elevation (${String(setUps.length)} set-ups, three statures)`,
    `median ${ms(quantile(medians, 0.5))}, p95 ${ms(quantile(medians, 0.95))}, worst ${ms(Math.max(...medians))}`,
    '< 2 ms',
  )
  const { single, quarter, spinePad, standard, narrow, square, thirds, roll, thinRoll } = namedFolds
  const inventory = inventoryFor({
    cupboard: bellowsHouse.cupboard,
    kinds: propKinds,
    folds: { single, quarter, spinePad, standard, narrow, square, thirds, roll, thinRoll },
    part: 'pelvis',
    piles: 1,
    posture: 'lying',
    massKg: 70,
  })
  const options = inventory.stocked.reduce((sum, { options: of }) => sum + of.length, 0)
  const heights = [2, 4, 8, 14, 20, 25, 37, 52]
  const reached = heights.map((H) =>
    quantile(
      times(15, () => findStacks({ H, inventory: inventory.stocked })),
      0.5,
    ),
  )
  report(
    `reach a height (demo cupboard, ${String(options)} options, ${String(heights.length)} heights)`,
    `median ${ms(quantile(reached, 0.5))}, worst ${ms(Math.max(...reached))}`,
    '< 20 ms',
  )
  report(
    '  110 cm, where there is none: the nearest',
    ms(
      quantile(
        times(9, () => findStacks({ H: 110, inventory: inventory.stocked })),
        0.5,
      ),
    ),
    '< 20 ms',
  )
}

/** The change between the two shipped set-ups that take most. */
export function benchHandling(): void {
  const pieces = (items: (typeof setUps)[number]['items']) => items.reduce((sum, { count }) => sum + count, 0)
  const [from = [], to = []] = setUps
    .map(({ items }) => items)
    .toSorted((a, b) => pieces(b) - pieces(a))
    .slice(0, 2)
  const took = times(400, () => changeover({ from, to, level: 'regular' }))
  report(
    `changeover (set-ups of ${String(pieces(from))} and ${String(pieces(to))} pieces, exact)`,
    `median ${ms(quantile(took, 0.5))}, p95 ${ms(quantile(took, 0.95))}`,
    '< 1 ms',
  )
}

/** All ways to make up time with the whole of a long class left, most of what is left to give wanted. */
export function benchRefit(): void {
  const session = benchSession()
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const plan = leadPlan(timeline, {})
  const state = step(plan, beginLead(plan), { type: 'tick', atMs: 1000 })[0]
  const book = refitBook(timeline, session, shippedCatalog)
  const late = (minutes: number) => () => waysOf({ plan, state, book, endMs: plan.totalMs - minutes * 60_000 })
  for (const minutes of [3, 12, 30]) {
    const taken = times(20, late(minutes))
    const [median, worst] = [quantile(taken, 0.5), Math.max(...taken)]
    report(
      `all ways to make up ${String(minutes)} min, 40 blocks left`,
      `median ${ms(median)}, worst ${ms(worst)}`,
      '< 20 ms',
    )
  }
}
