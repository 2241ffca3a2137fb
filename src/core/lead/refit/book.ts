import type { Session } from '#model/session'
import { candidatesOf, finalRestTerms, holdTerms } from '#core/fit'
import type { Candidate, FinalRestTerms, HoldTerms } from '#core/fit'
import { changeCosts } from '#core/session'
import type { Catalog, ResolvedBreath } from '#core/session'
import type { Timeline } from '#core/timeline'
import type { LosesRounds } from './rounds.ts'

/** What may be done with the blocks of a class while it is led, as in the fits of its plan; a block by its place in the plan. */
export interface RefitBook {
  readonly blocks: readonly Candidate[]
  /** How far each hold may go, and which of its phases is the rest of it. */
  readonly holds: ReadonlyMap<string, { readonly terms: HoldTerms; readonly restPhase: number }>
  /** Sections of rounds of each breath work, and how each may lose some. */
  readonly rounds: ReadonlyMap<string, readonly { readonly section: number; readonly how: LosesRounds }[]>
  readonly finalRest: FinalRestTerms | undefined
}

/** To be made once for a class: from the session it is led from and the timeline of that. */
export function refitBook(timeline: Timeline, session: Session, catalog: Catalog): RefitBook {
  const resolved = timeline.blocks.map(({ block }) => block)
  return {
    blocks: candidatesOf(timeline, changeCosts(session, catalog)).map(remembered),
    holds: new Map(
      resolved.flatMap((block) => {
        if (block.kind !== 'hold') return []
        const restPhase = (block.block.phases ?? []).findIndex(({ length }) => 'rest' in length)
        return [[block.block.id, { terms: holdTerms(block, session), restPhase: Math.max(0, restPhase) }] as const]
      }),
    ),
    rounds: new Map(
      resolved.flatMap((block) => (block.kind === 'breath' ? [[block.block.id, losing(block)] as const] : [])),
    ),
    finalRest: finalRestTerms(resolved, session),
  }
}

const losing = ({ sections }: ResolvedBreath) =>
  sections.flatMap((one, section) => {
    if (one.kind !== 'rounds') return []
    const how: LosesRounds = one.section.stations ? 'eachPlace' : one.section.slope ? 'fromItsMiddle' : 'fromItsEnd'
    return [{ section, how }]
  })

/** A candidate whose changes are worked out once for each place people come from: many ways ask for the same. */
function remembered(candidate: Candidate): Candidate {
  const once = <T>(of: (before: number | undefined) => T) => {
    const known = new Map<number | undefined, T>()
    return (before: number | undefined): T => {
      if (!known.has(before)) known.set(before, of(before))
      return known.get(before) as T
    }
  }
  return { ...candidate, changeS: once(candidate.changeS), leaves: once(candidate.leaves) }
}
