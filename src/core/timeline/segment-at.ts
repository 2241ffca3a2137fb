import type { Milliseconds } from '#core/units'
import type { Segment, Timeline } from './timeline.ts'

/** The segment that holds an instant, by binary search; undefined before 0 and from the end on. */
export function segmentAt({ segments, totalMs }: Timeline, ms: Milliseconds): Segment | undefined {
  if (!(ms >= 0 && ms < totalMs)) return undefined
  // Invariant: the wanted segment's index lies in [low, high).
  let low = 0
  let high = segments.length
  while (high - low > 1) {
    const middle = (low + high) >>> 1
    if ((segments[middle]?.startMs ?? Infinity) <= ms) low = middle
    else high = middle
  }
  return segments[low]
}
