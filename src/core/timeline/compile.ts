import type { Session } from '#model/session'
import { mapResult } from '#core/result'
import type { Result } from '#core/result'
import { changesBetween, resolveSession } from '#core/session'
import type { Catalog, ChangeTable, Resolved } from '#core/session'
import { checkTiles } from './check-tiles.ts'
import { layOut } from './lay-out.ts'
import { place } from './place.ts'
import { ring } from './ring.ts'
import type { Timeline } from './timeline.ts'

/**
 * The exact timeline of a session: contiguous half-open segments in integer milliseconds, and cues at
 * their instants. Refuses what `resolveSession` refuses; the same input gives an equal timeline.
 */
export function compileTimeline(session: Session, catalog: Catalog): Result<Timeline> {
  return mapResult(resolveSession(session, catalog), (resolved) => timelineOf(resolved, catalog.changes))
}

/** The passes: find the changes between the blocks, lay out each in pieces, place them in time, ring the cues, check the whole. */
function timelineOf(resolved: readonly Resolved[], costs: ChangeTable): Timeline {
  const changes = changesBetween(resolved, costs)
  let before: number | undefined
  const laid = resolved.map((block, at) => {
    const change = changes.into(at, before)
    before = changes.placeAfter(at, before)
    return { block, change, pieces: layOut(block, change) }
  })
  const placed = place(laid)
  const { segments, blocks, breathOver, totalMs } = placed
  return checkTiles({ totalMs, segments, blocks, breathOver, cues: ring(placed) })
}
