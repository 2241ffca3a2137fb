import type { Session } from '#model/session'
import type { Refusal } from '#model/refusal'
import type { Result } from '#core/result'
import type { Catalog } from '#core/session'
import { compileTimeline, inTheWayOf } from '#core/timeline'
import type { Timeline } from '#core/timeline'

interface Compiled {
  readonly document: Session
  readonly catalog: Catalog
  readonly result: Result<Timeline>
}
let last: Compiled | undefined

/** The timeline of a document; the one that was asked for last is not worked out again. */
export function compiledOf(document: Session, catalog: Catalog): Result<Timeline> {
  if (last?.document !== document || last.catalog !== catalog)
    last = { document, catalog, result: compileTimeline(document, catalog) }
  return last.result
}

/** What refers to things that are nowhere is no matter of limits: it may come back to the shelf. */
const isLimit = ({ code }: Refusal): boolean => code !== 'UNKNOWN_REFERENCE' && code !== 'TECHNIQUE_NOT_COUNTED'

/** The limit a change would bring a document past; none where it is past one already, and may be on its way back. */
export function limitPassed(before: Session, after: Session, catalog: Catalog): Refusal | undefined {
  if (compiledOf(after, catalog).ok) return undefined
  return inTheWayOf(before, catalog).some(isLimit) ? undefined : inTheWayOf(after, catalog).find(isLimit)
}
