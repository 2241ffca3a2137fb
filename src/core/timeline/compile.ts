import type { Session } from '#model/session'
import { mapResult } from '#core/result'
import type { Result } from '#core/result'
import { resolveSession } from '#core/session'
import type { Catalog, Resolved } from '#core/session'
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
  return mapResult(resolveSession(session, catalog), timelineOf)
}

/** The passes: lay out each block in pieces, place them in time, ring the cues, check the whole. */
export function timelineOf(resolved: readonly Resolved[]): Timeline {
  const placed = place(resolved.map((block) => ({ block, pieces: layOut(block) })))
  const { segments, blocks, breathOver, totalMs } = placed
  return checkTiles({ totalMs, segments, blocks, breathOver, cues: ring(placed) })
}
