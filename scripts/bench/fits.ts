import highs from 'highs'
import type { Block } from '#model/block'
import type { Session } from '#model/session'
import { changeCosts } from '#core/session'
import { bestSubset, betterOrder, candidatesOf, chooseSession, fewerBlocks, stretchToLength } from '#core/fit'
import type { Candidate } from '#core/fit'
import { compileToFit } from '#core/timeline'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { benchSession } from '#testing/bench-session'
import { aClosing, aSession } from '#testing/sessions'
import { ms, quantile, report, seeded, times } from './measure.ts'

/** So many holds drawn from the shelf, in steps of 15 s, for 90 minutes. */
function drawnSession(seed: number, count: number): Session {
  const below = seeded(seed)
  const poses = [...shippedCatalog.poses.keys()]
  const blocks = Array.from({ length: count }, (_, at): Block => ({
    kind: 'hold',
    id: `hold-${String(at)}`,
    poseId: poses[below(poses.length)] ?? 'deer',
    hold: { holdS: 60 + 15 * below(24) },
    ...(below(4) === 0 ? { priority: 'may' } : {}),
    ...(below(12) === 0 ? { priority: 'must' } : {}),
  }))
  return aSession([...blocks, aClosing({ finalRestS: 540 })], { lengthS: 5400 })
}

/** The same choice as a whole-number programme: a way through the blocks, each arc with its change. */
function programme(candidates: readonly Candidate[], lengthS: number): string {
  const starts = [undefined, ...candidates.map(({ index }) => index)]
  const arcs = starts.flatMap((from) =>
    candidates
      .filter(({ index }) => index > (from ?? -1))
      .map(({ index }) => ({ name: `x_${String(from ?? 's')}_${String(index)}`, from, to: index })),
  )
  const last = candidates.length - 1
  const timeOf = ({ from, to }: (typeof arcs)[number]) => {
    const candidate = candidates[to]
    // A hold leaves the same whatever came before it: the change is told by the pair.
    const stand = from === undefined ? undefined : candidates[from]?.leaves(undefined)
    return candidate ? candidate.ownMs / 1000 + candidate.changeS(stand) : 0
  }
  const worthOf = ({ to }: (typeof arcs)[number]) =>
    (candidates[to]?.weight ?? 0) * 100_000 + (candidates[to]?.heldS ?? 0)
  const into = (at: number) =>
    arcs
      .filter(({ to }) => to === at)
      .map(({ name }) => name)
      .join(' + ')
  const out = (at: number) => arcs.filter(({ from }) => from === at).map(({ name }) => name)
  const sum = (value: (arc: (typeof arcs)[number]) => number) =>
    arcs.map((arc) => `${String(value(arc))} ${arc.name}`).join(' + ')
  const rows = [
    `time: ${sum(timeOf)} <= ${String(lengthS)}`,
    `start: ${arcs
      .filter(({ from }) => from === undefined)
      .map(({ name }) => name)
      .join(' + ')} = 1`,
    ...candidates.flatMap(({ index, must, counters, mayLeave }) => [
      `in${String(index)}: ${into(index)} - y_${String(index)} = 0`,
      ...(index === last ? [] : [`out${String(index)}: ${out(index).join(' + ')} - y_${String(index)} = 0`]),
      ...(must ? [`must${String(index)}: y_${String(index)} = 1`] : []),
      ...(counters === undefined || must
        ? []
        : [`with${String(index)}: y_${String(index)} - y_${String(counters)} <= 0`]),
      ...(counters === undefined || must || mayLeave
        ? []
        : [`answers${String(index)}: y_${String(counters)} - y_${String(index)} <= 0`]),
    ]),
  ]
  const binaries = [...arcs.map(({ name }) => name), ...candidates.map(({ index }) => `y_${String(index)}`)]
  return `Maximize\n obj: ${sum(worthOf)}\nSubject To\n ${rows.join('\n ')}\nBinary\n ${binaries.join(' ')}\nEnd`
}

/** Our choice of blocks against a general exact solver, on the same sessions, as they grow. */
async function benchChoice(): Promise<void> {
  const solver = await highs()
  for (const count of [10, 20, 40, 80]) {
    const sessions = Array.from({ length: count > 20 ? 5 : 20 }, (_, seed) => drawnSession(seed + 1, count))
    const ours: number[] = []
    const theirs: number[] = []
    let same = 0
    let solved = 0
    for (const session of sessions) {
      const candidates = candidatesOf(
        orThrow(compileToFit(session, shippedCatalog)),
        changeCosts(session, shippedCatalog),
      )
      const startMs = performance.now()
      const best = bestSubset(candidates, { lengthMs: session.lengthS * 1000, keepTargets: [] })
      ours.push(performance.now() - startMs)
      const text = programme(candidates, session.lengthS)
      const theirStartMs = performance.now()
      const solution = solver.solve(text, { mip_rel_gap: 0, mip_abs_gap: 0, time_limit: 60 })
      theirs.push(performance.now() - theirStartMs)
      if (solution.Status === 'Time limit reached') continue
      solved += 1
      const theirWorth = solution.Status === 'Optimal' ? Math.round(solution.ObjectiveValue) : undefined
      if (theirWorth === (best && best.weight * 100_000 + best.heldS)) same += 1
    }
    report(
      `choose of ${String(count)} poses, 90 min (${String(sessions.length)} sessions)`,
      `median ${ms(quantile(ours, 0.5))}, worst ${ms(Math.max(...ours))}`,
      '< 250 ms',
    )
    report(
      '  HiGHS on the same',
      `median ${ms(quantile(theirs, 0.5))}, worst ${ms(Math.max(...theirs))}`,
      `same optimum in ${String(same)} of ${String(solved)}`,
    )
  }
}

/** A session chosen for each practice at an hour, and one of four hours. */
function benchChooser(): void {
  const wish = (practice: 'restorative' | 'yin' | 'mixed' | 'breath', lengthS: number) => ({
    id: 'bench',
    name: 'Bench',
    lengthS,
    practice,
    level: 'regular' as const,
    schoolId: 'mixed',
    targets: [],
    variation: 1,
    talk: { title: 'Arrive', text: '' },
  })
  const hours = (['restorative', 'yin', 'mixed', 'breath'] as const).flatMap((practice) =>
    times(5, () => chooseSession(wish(practice, 3600), shippedCatalog)),
  )
  const longest = times(5, () => chooseSession(wish('yin', 14_400), shippedCatalog))
  report(
    'choose a whole session (60 min, each practice)',
    `median ${ms(quantile(hours, 0.5))}, worst ${ms(Math.max(...hours))}`,
    '—',
  )
  report('  of four hours', `median ${ms(quantile(longest, 0.5))}`, '—')
}

export async function benchFits(): Promise<void> {
  const session = { ...benchSession(), lengthS: 3600 }
  report(
    'stretch to a length (40 blocks, 89 to 60 min)',
    `median ${ms(
      quantile(
        times(100, () => stretchToLength(session, shippedCatalog)),
        0.5,
      ),
    )}`,
    '< 5 ms',
  )
  report(
    'fewer blocks (40 blocks, 89 to 60 min)',
    `median ${ms(
      quantile(
        times(20, () => fewerBlocks(session, shippedCatalog)),
        0.5,
      ),
    )}`,
    '< 250 ms',
  )
  for (const count of [8, 10, 12, 24, 40]) {
    const drawn = Array.from({ length: 5 }, (_, seed) => drawnSession(seed + 1, count))
    const taken = drawn.flatMap((one) => times(2, () => betterOrder(one, shippedCatalog)))
    const found = drawn.map((one) => orThrow(betterOrder(one, shippedCatalog)))
    const sum = (of: (typeof found)[number][], which: 'now' | 'then') =>
      of.reduce((all, one) => all + one[which].changeS, 0)
    const bound = found.reduce((all, { boundS }) => all + boundS, 0)
    report(
      `order of ${String(count)} free blocks${count <= 12 ? ', exact' : ''}`,
      `median ${ms(quantile(taken, 0.5))}, worst ${ms(Math.max(...taken))}`,
      `${count <= 12 ? '< 250 ms' : '—'}; changes ${String(sum(found, 'now'))} → ${String(sum(found, 'then'))} s, bound ${String(bound)} s`,
    )
  }
  benchChooser()
  await benchChoice()
}
