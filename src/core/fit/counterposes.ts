import type { Resolved, ResolvedHold } from '#core/session'

/** A hold further back than this was answered by something else, or not at all. */
const mostHoldsBetween = 3

/** The place of a block that counters another, by the place of what it counters. */
export interface CounterLink {
  readonly of: number
  readonly by: number
}

/**
 * Which holds are there to counter an earlier one: a pose that can stand as a counterpose, and the nearest of
 * the holds just before it (at most four back) that names it as one.
 */
export function counterLinks(blocks: readonly Resolved[]): CounterLink[] {
  const holds = blocks.flatMap((block, at) => (block.kind === 'hold' ? [{ block, at }] : []))
  return holds.flatMap(({ block, at }, nth): CounterLink[] => {
    if (!block.pose.places.includes('counter')) return []
    const before = holds.slice(Math.max(0, nth - 1 - mostHoldsBetween), nth)
    const countered = before.findLast((other) => counters(block, other.block))
    return countered ? [{ of: countered.at, by: at }] : []
  })
}

const counters = (one: ResolvedHold, other: ResolvedHold): boolean =>
  one.block.poseId !== other.block.poseId && other.pose.counterposes.includes(one.block.poseId)
