import type { Pose } from '#model/pose'
import type { PropKind } from '#model/prop'
import { propCounts } from '#core/session'
import type { Resolved } from '#core/session'
import type { Timeline } from '#core/timeline'
import { countedProp } from '#words/props'

const takenBy = (block: Resolved): Pose['props'] =>
  block.kind === 'hold' ? block.pose.props : block.kind === 'closing' ? propCounts(block.setUp?.value.items ?? []) : []

/** What each person fetches once, at the start: of every kind the most that one hold or the final rest takes; walls stay. */
export function fetchList({ blocks }: Timeline): string[] {
  const most = new Map<PropKind, number>()
  for (const { block } of blocks) {
    for (const { kind, count } of takenBy(block)) {
      if (kind !== 'wall') most.set(kind, Math.max(most.get(kind) ?? 0, count))
    }
  }
  return [...most].map(([kind, count]) => countedProp(kind, count))
}
