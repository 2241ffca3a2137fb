import type { LedDoing, Visit } from '#model/led-class'
import type { Milliseconds } from '#core/units'
import { countedRun, partsBetween } from './counted-run.ts'

/**
 * What was done of a counted breath between two instants of its own time: rounds that began and ended in between, and
 * the longest that a breath was held, to where it was broken off. Nothing for whatever nobody counts.
 */
export function doneIn(
  doing: LedDoing,
  fromMs: Milliseconds,
  toMs: Milliseconds,
): Pick<Visit, 'rounds' | 'longestHeldMs'> {
  const run = doing.kind === 'breath' ? countedRun(doing) : undefined
  if (!run) return {}
  let [rounds, longestHeldMs, heldMs] = [0, 0, 0]
  let begun = -1
  for (const part of partsBetween(run, fromMs, toMs)) {
    if (part.k % run.length === 0 && part.startMs >= fromMs) begun = part.round
    // A held breath is one, whatever locks divide it.
    const isHeld = part.part === 'full' || part.part === 'empty'
    heldMs = isHeld ? (part.turns ? 0 : heldMs) + Math.min(part.endMs, toMs) - Math.max(part.startMs, fromMs) : 0
    longestHeldMs = Math.max(longestHeldMs, heldMs)
    const isLast = (part.k + part.ticks) % run.length === 0
    if (isLast && part.endMs <= toMs && begun === part.round) rounds += 1
  }
  return { rounds, ...(longestHeldMs > 0 ? { longestHeldMs } : {}) }
}
