import type { Reading } from '#core/lead'

/** A wall clock and one that only runs forward, ms. */
interface Clocks {
  epochMs(): number
  steadyMs(): number
}

/** Two clocks read one after the other count as read at once within this, ms; tried a few times on a busy machine. */
const atOnceMs = 0.1
const tries = 8

/**
 * Both clocks at one moment. Whatever comes between the two looks would shift the class by as much after a reload, so
 * the steady clock is read on both sides and the pair that lies closest is taken.
 */
export function bothAtOnce({ epochMs, steadyMs }: Clocks): Pick<Reading, 'epochMs' | 'steadyMs'> {
  let best = { epochMs: 0, steadyMs: 0, apartMs: Infinity }
  for (let at = 0; at < tries && best.apartMs > atOnceMs; at += 1) {
    const before = steadyMs()
    const epoch = epochMs()
    const apartMs = steadyMs() - before
    if (apartMs < best.apartMs) best = { epochMs: epoch, steadyMs: before + apartMs / 2, apartMs }
  }
  return { epochMs: best.epochMs, steadyMs: best.steadyMs }
}
