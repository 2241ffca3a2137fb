import type { Milliseconds } from '#core/units'

/** What was heard of a class's clock, newest last: when its class time was 0 by the server's clock, each time a little late. */
export type HeardZeros = readonly Milliseconds[]

/** So many of what was heard count: a minute of it, so that clocks that run apart are followed. */
const most = 12
/** Apart by more than this, the class's clock itself was set, or another device leads. */
const jumpMs = 1000

/**
 * What is known after a class told its class time. It was so a moment before it was heard, by as long as the way took:
 * of several, the one that took the shortest way is the nearest to the truth.
 *
 * @param nowMs the server's clock when it was heard, epoch ms
 * @param runMs the class time that was told
 */
export function heardZeros(heard: HeardZeros, nowMs: Milliseconds, runMs: Milliseconds): HeardZeros {
  const zeroMs = nowMs - runMs
  const known = zeroOf(heard)
  if (known === undefined || Math.abs(zeroMs - known) > jumpMs) return [zeroMs]
  return [...heard, zeroMs].slice(-most)
}

/** When the class time was 0, by the server's clock, epoch ms; undefined where nothing was heard. */
export const zeroOf = (heard: HeardZeros): Milliseconds | undefined =>
  heard.length === 0 ? undefined : Math.min(...heard)

/** A look at another clock: when it was asked and answered by one's own, and what it said in between. */
export interface ClockLook {
  readonly askedMs: Milliseconds
  readonly answeredMs: Milliseconds
  readonly theirsMs: Milliseconds
}

/**
 * How far another clock is ahead of one's own: by the look that took the shortest, halfway through it. Throws where
 * there is none.
 */
export function aheadBy(looks: readonly ClockLook[]): Milliseconds {
  const [best] = [...looks].sort((a, b) => a.answeredMs - a.askedMs - (b.answeredMs - b.askedMs))
  if (!best) throw new RangeError('A clock that was never looked at cannot be told.')
  return best.theirsMs - (best.askedMs + best.answeredMs) / 2
}
