/** Two clocks read one after the other count as read at once within this, ms; tried a few times on a busy machine. */
const atOnceMs = 0.1
const tries = 8

/**
 * Two clocks at one moment. Whatever comes between the two looks would shift one against the other by as much, so the
 * steady one is read on both sides of the other and the pair that lies closest is taken.
 *
 * @param steadyMs a clock that only runs forward, ms
 * @param other any other clock, in its own unit
 */
export function bothAtOnce(steadyMs: () => number, other: () => number): { steadyMs: number; other: number } {
  let best = { steadyMs: 0, other: 0, apartMs: Infinity }
  for (let at = 0; at < tries && best.apartMs > atOnceMs; at += 1) {
    const before = steadyMs()
    const read = other()
    const apartMs = steadyMs() - before
    if (apartMs < best.apartMs) best = { steadyMs: before + apartMs / 2, other: read, apartMs }
  }
  return { steadyMs: best.steadyMs, other: best.other }
}
