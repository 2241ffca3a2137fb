import type { Finding } from '#model/finding'
import type { SetUpItem } from '#model/set-up'
import { assess } from '#core/comfort'
import type { ComfortFinding } from '#core/comfort'
import { worstFirst } from '#core/finding'
import type { Who } from '#core/figure'
import type { PropSpecs } from '#core/props'
import { figureIn } from '#core/session'
import type { Catalog, Resolved } from '#core/session'
import type { Timeline } from '#core/timeline'
import { checkSession, startsOf } from './check.ts'
import type { CheckInput, Noticed } from './check.ts'

/** On whom and with what sizes of props the set-ups are looked at. */
export interface LyingOn extends Who {
  readonly kinds: PropSpecs
}

/** What a comfort rule finds in the set-up of a block; what would mend it is looked for where the set-up is. */
export interface SetUpNoticed extends Finding {
  readonly setUp: ComfortFinding
  readonly mend: undefined
}
export type AnyNoticed = Noticed | SetUpNoticed

/** Everything in a session that needs a look, its set-ups included: worst first, then by its time in the session. */
export function checkWithSetUps(input: CheckInput, on: LyingOn): AnyNoticed[] {
  const startOf = startsOf(input.timeline)
  const setUps = setUpFindings(input.timeline, input.catalog, on)
  return [...checkSession(input), ...setUps].sort(worstFirst((a, b) => startOf(a) - startOf(b)))
}

/** What is counted of the set-ups of a session, in its order: tips stay where the set-up is. */
export const setUpFindings = ({ blocks }: Timeline, catalog: Catalog, on: LyingOn): readonly SetUpNoticed[] =>
  blocks.flatMap(({ block }) => findingsIn(block, catalog, on))

function findingsIn(block: Resolved, catalog: Catalog, { kinds, ...who }: LyingOn): readonly SetUpNoticed[] {
  const figure = figureIn(block, catalog)
  if (!figure || !('setUp' in block) || !block.setUp) return []
  const found = (items: readonly SetUpItem[]): readonly ComfortFinding[] =>
    assess({ figure, items, kinds, who }).findings.filter(({ grade }) => grade !== 'tip')
  const ofSetUp = found(block.setUp.value.items)
  // What a step in mid-hold brings besides; what is found of the set-up already is told once.
  const steps = block.kind === 'hold' ? (block.block.steps ?? []) : []
  const ofSteps = steps.flatMap(({ items }) => found(items))
  return [...ofSetUp, ...ofSteps]
    .filter((one, at, all) => all.findIndex(({ code }) => code === one.code) === at || ofSetUp.includes(one))
    .map((setUp) => noticedIn(block.block.id, setUp))
}

/** What is found in the set-up of a block, as the session keeps it where it is set aside. */
export function noticedIn(blockId: string, setUp: ComfortFinding): SetUpNoticed {
  const { code, grade, facts } = setUp
  return { code, grade, place: { blockId }, facts: toldOf(facts), setUp, mend: undefined }
}

/** The numbers of a finding, without what has none. */
const toldOf = (facts: ComfortFinding['facts']): Finding['facts'] =>
  Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined)) as Finding['facts']
