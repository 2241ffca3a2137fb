import type { ClassDrift } from '#model/class-drift'
import type { Session } from '#model/session'
import type { Catalog } from '#core/session'
import { mendOf } from './mend.ts'
import type { Mend } from './mend.ts'
import { whatDrifts } from './what-drifts.ts'
import type { BlockDrift } from './what-drifts.ts'

/** A change of the plan that some classes speak for. */
export interface Proposal {
  readonly drift: BlockDrift
  readonly mend: Mend
}

const mostProposals = 5
/** What is nearer to the plan than this needs no change, s. */
const leastS = 10

/** What to change of a session after some of its classes: at most five edits, the largest first, each by itself. */
export function proposalsOf(session: Session, classes: readonly ClassDrift[], catalog: Catalog): readonly Proposal[] {
  return whatDrifts(classes)
    .parts.flatMap(({ blocks }) => blocks)
    .filter(({ moreS }) => Math.abs(moreS) >= leastS)
    .toSorted((a, b) => Math.abs(b.moreS) - Math.abs(a.moreS))
    .flatMap((drift) => {
      const mend = mendOf(session, drift, catalog)
      // What was changed since then is no longer what the class speaks of.
      const isAsThen = mend?.nowS === undefined || mend.nowS === drift.plannedS
      return mend && isAsThen ? [{ drift, mend }] : []
    })
    .slice(0, mostProposals)
}
