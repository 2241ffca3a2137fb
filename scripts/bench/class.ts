import highs from 'highs'
import { propKinds } from '#model/prop'
import type { PropKind } from '#model/prop'
import { allocate, dealAtHome, posesToDeal, waysFor } from '#core/class'
import type { AllocateInput, PersonThere, SetUpsOf } from '#core/class'
import { orThrow } from '#core/result'
import { setUpsFor } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { substitutes } from '#library/substitutes'
import { sundayLongRest } from '#server/demo/sessions'
import { ms, quantile, report, seeded } from './measure.ts'

/** The kinds the classes are dealt. */
const kinds = [
  ...(['rectBolster', 'roundBolster', 'blanket', 'foamBlock', 'corkBlock', 'longPillow'] as const),
  ...(['towel', 'strap', 'eyePillow', 'sandbag', 'chair', 'book'] as const),
] as const satisfies readonly PropKind[]

const posesWithSetUps = [...shippedCatalog.poses.keys()].filter((id) => setUpsFor(shippedCatalog, id).length > 1)

function setUpsOfPose(poseId: string): SetUpsOf {
  const of = (extent: string) => setUpsFor(shippedCatalog, poseId).find((setUp) => setUp.extent === extent)?.items
  return { own: of('full') ?? [], few: of('few'), household: of('household') }
}

/** A class of so many people in so many sets of forms, over so many poses of the shelf, with too little of some kinds. */
function drawnClass(
  seed: number,
  { count, forms, poses }: { readonly count: number; readonly forms: number; readonly poses: number },
): AllocateInput {
  const below = seeded(seed)
  const pick = (): SetUpsOf => setUpsOfPose(posesWithSetUps[below(posesWithSetUps.length)] ?? 'deer')
  const usual = Array.from({ length: poses }, pick)
  const sets = Array.from({ length: forms }, (_, form) =>
    usual.map((setUps, block) => ({
      blockId: `b${String(block)}`,
      setUps: form > 0 && below(4) === 0 ? pick() : setUps,
      ...(form > 0 && below(6) === 0 ? { wants: ['rectBolster' as const] } : {}),
    })),
  )
  const people = Array.from({ length: count }, (_, at): PersonThere => ({
    id: `p${String(at)}`,
    poses: sets[at % forms] ?? [],
  }))
  const wanted = (kind: PropKind) => {
    const ofOne = ({ setUps }: PersonThere['poses'][number]) =>
      setUps.own.reduce((sum, item) => sum + (item.kind === kind ? item.count : 0), 0)
    return Math.max(
      ...usual.map((_, block) => people.reduce((sum, { poses: all }) => sum + (all[block] ? ofOne(all[block]) : 0), 0)),
    )
  }
  // Of a third of the kinds there is a half to all but one in twenty of what is wanted, of the others enough.
  const share = (): number => (below(3) === 0 ? 50 + below(45) : 100)
  const dealt = new Set<PropKind>(kinds)
  const stock = Object.fromEntries(
    [...propKinds].map((kind) => [
      kind,
      Math.floor((wanted(kind) * (dealt.has(kind) ? share() : 100)) / 100) + below(4),
    ]),
  )
  return { people, stock, substitutes }
}
/** What a block loses at least, as a whole-number programme. */
function programme({ people, stock }: AllocateInput, blockId: string): string {
  const doing = people.flatMap(({ poses }) => poses.filter((pose) => pose.blockId === blockId))
  const alike = new Map<string, typeof doing>()
  for (const pose of doing) alike.set(JSON.stringify(pose), [...(alike.get(JSON.stringify(pose)) ?? []), pose])
  const variables = [...alike.values()].flatMap((all, at) => {
    const [{ setUps, wants }] = all as [(typeof doing)[number]]
    const pose = JSON.stringify(setUps)
    return waysFor(setUps, { wants, scarce: new Set(kinds), substitutes }).map((way, n) => ({
      ...{ at, pose, way, most: all.length },
      name: `n_${String(at)}_${String(n)}`,
      setUp: `${pose} ${way.way} ${JSON.stringify([...way.uses].sort())}`,
    }))
  })
  const poses = [...new Set(variables.map(({ pose }) => pose))]
  const setUps = [...new Set(variables.map(({ setUp }) => setUp))]
  const used = new Set(variables.flatMap(({ way }) => [...way.uses.keys()]))
  const sum = (terms: readonly (readonly [number, string])[]) =>
    terms.map(([n, name]) => `${n < 0 ? '-' : '+'} ${String(Math.abs(n))} ${name}`).join(' ')
  const rows = [
    ...[...alike.values()].map(
      (all, at) =>
        `${sum(variables.filter((one) => one.at === at).map(({ name }) => [1, name]))} = ${String(all.length)}`,
    ),
    ...[...used].map(
      (kind) =>
        `${sum(variables.flatMap(({ name, way }) => (way.uses.has(kind) ? [[way.uses.get(kind) ?? 0, name] as const] : [])))} <= ${String((stock as Record<string, number>)[kind] ?? 0)}`,
    ),
    ...variables.map(({ name, setUp, most }) => `${name} - ${String(most)} y_${String(setUps.indexOf(setUp))} <= 0`),
    ...poses.map((pose, at) => {
      const mine = [...new Set(variables.filter((one) => one.pose === pose).map(({ setUp }) => setUps.indexOf(setUp)))]
      return `${sum(mine.map((one) => [1, `y_${String(one)}`]))} - ${String(mine.length)} z_${String(at)} <= 1`
    }),
  ]
  const binaries = [...setUps.map((_, at) => `y_${String(at)}`), ...poses.map((_, at) => `z_${String(at)}`)]
  const lost = [
    ...variables.map(({ name, way }) => [way.penalty, name] as const),
    ...poses.map((_, at) => [2, `z_${String(at)}`] as const),
  ]
  return `Minimize\n obj: ${sum(lost)}\nSubject To\n ${rows.map((row, at) => `r${String(at)}: ${row}`).join('\n ')}\nGeneral\n ${variables.map(({ name }) => name).join(' ')}\nBinary\n ${binaries.join(' ')}\nEnd`
}

/** The demo's longest set-ups with all of it, dealt to somebody who has four blankets at home. */
function benchAtHome(): void {
  const session = { ...sundayLongRest, extent: 'full', setting: 'online' } as const
  const poses = posesToDeal(orThrow(compileTimeline(session, shippedCatalog)), shippedCatalog, session)
  const startMs = performance.now()
  dealAtHome([{ id: 'edda', poses, stock: { blanket: 4 } }], substitutes)
  report(
    `what somebody has at home, dealt to ${String(poses.length)} poses`,
    ms(performance.now() - startMs),
    '< 100 ms',
  )
}

/** Who gets what against a general exact solver, on classes as large as they come. */
export async function benchClass(): Promise<void> {
  benchAtHome()
  const sizes = [
    { count: 14, forms: 3, poses: 8, classes: 200 },
    { count: 30, forms: 6, poses: 10, classes: 20 },
  ]
  for (const size of sizes) {
    const ours: number[] = []
    let [same, open] = [0, 0]
    for (let seed = 1; seed <= size.classes; seed += 1) {
      // A solver that ran many programmes does not start afresh.
      const solver = await highs()
      const input = drawnClass(seed, size)
      const startMs = performance.now()
      const result = allocate(input)
      ours.push(performance.now() - startMs)
      if (result.ok && result.value.gap > 0) open += 1
      const theirs = Array.from({ length: size.poses }, (_, block) =>
        solver.solve(programme(input, `b${String(block)}`), { mip_rel_gap: 0, mip_abs_gap: 0 }),
      )
      const penalty = theirs.every(({ Status }) => Status === 'Optimal')
        ? Math.round(theirs.reduce((all, { ObjectiveValue }) => all + ObjectiveValue, 0))
        : undefined
      if (penalty === (result.ok ? result.value.penalty : undefined)) same += 1
    }
    report(
      `who gets what: ${String(size.count)} people, ${String(size.forms)} sets of forms, ${String(size.poses)} poses, ${String(kinds.length)} kinds`,
      `median ${ms(quantile(ours, 0.5))}, worst ${ms(Math.max(...ours))}`,
      `< 2 s; ${String(open)} with a gap; same optimum as HiGHS in ${String(same)} of ${String(size.classes)}`,
    )
  }
}
