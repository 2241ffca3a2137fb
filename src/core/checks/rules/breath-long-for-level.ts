import type { Level } from '#model/common'
import type { Seconds } from '#core/units'
import type { Rule } from '../rule.ts'

/** Counted breath of a whole session, breath over holds with it [breath book 5]. */
const mostS: Readonly<Record<Level, Seconds>> = { new: 600, regular: 1200, experienced: 1800 }

const counted: ReadonlySet<string> = new Set(['in', 'full', 'out', 'empty', 'pause', 'strokes'])

/** More counted breath than the level has. */
export const breathLongForLevel: Rule<'BREATH_LONG_FOR_LEVEL'> = {
  code: 'BREATH_LONG_FOR_LEVEL',
  grade: 'look',
  find: ({ timeline, session: { level } }) => {
    const inBlocks = timeline.segments.filter(({ doing }) => doing.kind === 'breath' && counted.has(doing.part))
    const over = timeline.breathOver.filter(({ part }) => counted.has(part))
    const s = [...inBlocks, ...over].reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0) / 1000
    return s > mostS[level] && { facts: { s: Math.round(s), mostS: mostS[level], level } }
  },
}
