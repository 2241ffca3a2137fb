import type { PropKind } from '#model/prop'
import type { Timeline } from '#core/timeline'
import { countedProp } from '#words/props'

/** What each person fetches once, at the start: of every kind the most that one hold takes; walls stay. */
export function fetchList({ blocks }: Timeline): string[] {
  const most = new Map<PropKind, number>()
  for (const { block } of blocks) {
    if (block.kind !== 'hold') continue
    for (const { kind, count } of block.pose.props) {
      if (kind !== 'wall') most.set(kind, Math.max(most.get(kind) ?? 0, count))
    }
  }
  return [...most].map(([kind, count]) => countedProp(kind, count))
}
