import { heldBreaths, isStrokes } from '../breath-look.ts'
import type { Rule } from '../rule.ts'

/** So long lies between active exhales and any held breath [breath book 5]. */
const leastMs = 180_000

/** A breath held soon after active exhales, in whatever block it is. */
export const rapidThenHold: Rule<'RAPID_THEN_HOLD'> = {
  code: 'RAPID_THEN_HOLD',
  grade: 'must',
  find: (look) => {
    const strokes = look.timeline.segments.filter(isStrokes)
    if (strokes.length === 0) return []
    return heldBreaths(look)
      .map((held) => ({ held, lastMs: strokes.findLast(({ endMs }) => endMs <= held.startMs)?.endMs }))
      .filter(({ held, lastMs }) => lastMs !== undefined && held.startMs - lastMs < leastMs)
      .slice(0, 1)
      .map(({ held, lastMs = 0 }) => ({
        blockId: held.blockId,
        atMs: held.startMs,
        facts: { s: Math.floor((held.startMs - lastMs) / 1000), leastS: leastMs / 1000 },
      }))
  },
}
