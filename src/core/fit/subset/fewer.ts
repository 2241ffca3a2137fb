import type { Target } from '#model/pose'
import type { Session } from '#model/session'
import { mapResult } from '#core/result'
import type { Result } from '#core/result'
import { changeCosts } from '#core/session'
import type { Catalog, Edit } from '#core/session'
import { compileToFit } from '#core/timeline'
import type { Timeline } from '#core/timeline'
import { bestSubset } from './best-subset.ts'
import { candidatesOf } from './candidates.ts'
import type { Candidate } from './candidates.ts'
import { fitOf } from '../fit.ts'
import type { AtFloor, Fit } from '../fit.ts'

/**
 * The session with its holds as written and only those blocks that fit: what must stay, then the most worth
 * keeping, in the given order. Where even what must stay is too long, that is returned with what stands in
 * the way. Refuses what `compileToFit` refuses.
 */
export function fewerBlocks(session: Session, catalog: Catalog, keepTargets: readonly Target[] = []): Result<Fit> {
  return mapResult(compileToFit(session, catalog), (timeline) => {
    const candidates = candidatesOf(timeline, changeCosts(session, catalog))
    const { kept, missed } = keptOf(candidates, session, keepTargets)
    return fitOf(session, droppingEdits(session, kept), catalog, { inTheWay: stayingOf(timeline, kept), missed })
  })
}

/** The places that stay, and the areas asked for that cannot be kept. */
export interface KeptPlaces {
  readonly kept: ReadonlySet<number>
  readonly missed: readonly Target[]
}

/**
 * The places that stay: the best choice; where the areas asked for cannot all be kept, without the last of
 * them; where even that is too long, what must stay.
 */
export function keptOf(candidates: readonly Candidate[], session: Session, keepTargets: readonly Target[]): KeptPlaces {
  const lengthMs = session.lengthS * 1000
  for (let many = keepTargets.length; many >= 0; many -= 1) {
    const best = bestSubset(candidates, { lengthMs, keepTargets: keepTargets.slice(0, many) })
    if (best) return { kept: new Set(best.kept), missed: keepTargets.slice(many) }
  }
  return { kept: new Set(leastKept(candidates)), missed: [] }
}

/** What must stay, and the counterposes of it that nobody said may go. */
function leastKept(candidates: readonly Candidate[]): number[] {
  const kept = new Set(candidates.filter(({ must }) => must).map(({ index }) => index))
  for (const { index, counters, mayLeave } of candidates) {
    if (counters !== undefined && kept.has(counters) && !mayLeave) kept.add(index)
  }
  return [...kept]
}

export const droppingEdits = (session: Session, kept: ReadonlySet<number>): Edit[] =>
  session.blocks.flatMap(({ id }, index): Edit[] => (kept.has(index) ? [] : [{ type: 'remove', id }]))

const stayingOf = ({ blocks }: Timeline, kept: ReadonlySet<number>): AtFloor[] =>
  blocks.flatMap(({ block, startMs, endMs }, index) =>
    kept.has(index)
      ? [{ blockId: block.block.id, of: 'block', leastS: Math.ceil((endMs - startMs) / 1000) } as const]
      : [],
  )
