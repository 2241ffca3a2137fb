import type { Session } from '#model/session'
import { candidatesOf, finalRestTerms, holdTerms } from '#core/fit'
import type { Candidate, FinalRestTerms, HoldTerms } from '#core/fit'
import { changeCosts } from '#core/session'
import type { Catalog } from '#core/session'
import type { Timeline } from '#core/timeline'

/** What may be done with the blocks of a class while it is led, as in the fits of its plan; a block by its place in the plan. */
export interface RefitBook {
  readonly blocks: readonly Candidate[]
  /** How far each hold may go, and which of its phases is the rest of it. */
  readonly holds: ReadonlyMap<string, { readonly terms: HoldTerms; readonly restPhase: number }>
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
    finalRest: finalRestTerms(resolved, session),
  }
}

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
