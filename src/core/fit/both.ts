import type { Target } from '#model/pose'
import type { Session } from '#model/session'
import { mapResult, ok, orThrow } from '#core/result'
import type { Result } from '#core/result'
import { applyEdit, changeCosts } from '#core/session'
import type { Catalog, Resolved } from '#core/session'
import { compileToFit } from '#core/timeline'
import type { Timeline } from '#core/timeline'
import type { Seconds } from '#core/units'
import { candidatesOf } from './subset/candidates.ts'
import { droppingEdits, fewerBlocks, keptOf } from './subset/fewer.ts'
import { fitOf } from './fit.ts'
import type { Fit } from './fit.ts'
import { stretchToLength } from './stretch/stretch.ts'
import { finalRestTerms, holdTerms, stepsOf, sumOf } from './terms.ts'
import type { LeastShare } from './terms.ts'

/** What the mix of shorter and fewer needs to know. */
export interface BothWanted {
  /** No hold below this share of its planned time, 0 to 1: 1 only drops, 0 only shortens while that does. */
  readonly leastShare: LeastShare
  readonly keepTargets?: readonly Target[]
}

/**
 * Between shorter and fewer: every hold may go down to a share of its planned time, and what does not fit
 * even so is dropped, the least worth keeping first; what is left is then shortened only as far as needed.
 * With 0 it is the shorter fit wherever that comes to the length, with 1 the fewer fit.
 * Refuses what `compileToFit` refuses.
 */
export function shorterAndFewer(
  session: Session,
  catalog: Catalog,
  { leastShare, keepTargets = [] }: BothWanted,
): Result<Fit> {
  if (leastShare >= 1) return fewerBlocks(session, catalog, keepTargets)
  const compiled = compileToFit(session, catalog)
  if (!compiled.ok) return compiled
  if (isShortEnough(compiled.value, session)) return ok(fitOf(session, [], catalog))
  const blocks = compiled.value.blocks.map(({ block }) => block)
  const shortest = candidatesOf(compiled.value, changeCosts(session, catalog)).map((candidate) => ({
    ...candidate,
    ownMs: candidate.ownMs - mostSavedS(blocks[candidate.index], blocks, session, leastShare) * 1000,
  }))
  const { kept, missed } = keptOf(shortest, session, keepTargets)
  const drops = droppingEdits(session, kept)
  const left = orThrow(applyEdit(session, { type: 'several', edits: drops })).session
  // Nothing is lengthened unasked where dropping alone makes room enough.
  if (isShortEnough(orThrow(compileToFit(left, catalog)), session))
    return ok(fitOf(session, drops, catalog, { missed }))
  return mapResult(stretchToLength(left, catalog, leastShare), ({ edits, inTheWay }) =>
    fitOf(session, [...drops, ...edits], catalog, { inTheWay, missed }),
  )
}

const isShortEnough = (timeline: Timeline, { lengthS }: Session): boolean => timeline.totalMs <= lengthS * 1000

/** By how much a block can go down at most, all its sides together. */
function mostSavedS(
  block: Resolved | undefined,
  all: readonly Resolved[],
  session: Session,
  leastShare: LeastShare,
): Seconds {
  if (block?.kind === 'hold')
    return sumOf(stepsOf(holdTerms(block, session, leastShare), 'floor').map(({ byS }) => byS))
  if (block?.kind !== 'closing') return 0
  const finalRest = finalRestTerms(all, session, leastShare)
  return finalRest ? finalRest.plannedS - finalRest.floorS : 0
}
