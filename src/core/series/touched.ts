import type { Target } from '#model/pose'
import type { Session } from '#model/session'
import type { Catalog } from '#core/session'

/** In how many of some sessions each region is worked, as their poses have it; regions no pose works are not there. */
export function touchedIn(sessions: readonly Session[], catalog: Catalog): ReadonlyMap<Target, number> {
  const counts = new Map<Target, number>()
  for (const { blocks } of sessions) {
    const worked = blocks.flatMap((block) =>
      block.kind === 'hold' ? (catalog.poses.get(block.poseId)?.targets ?? []) : [],
    )
    for (const region of new Set(worked)) counts.set(region, (counts.get(region) ?? 0) + 1)
  }
  return counts
}
