import type { Level } from '#model/common'
import type { Timeline } from '#core/timeline'
import type { Milliseconds, Seconds } from '#core/units'
import type { Rule } from '../rule.ts'

/** Counted breath of a whole session, breath over holds with it [breath book 5]. */
export const countedBreathMostS: Readonly<Record<Level, Seconds>> = { new: 600, regular: 1200, experienced: 1800 }

const counted: ReadonlySet<string> = new Set(['in', 'full', 'out', 'empty', 'pause', 'strokes'])

/** How long breath is counted in a session, in breath work and over holds. */
export function countedBreathMs({ segments, breathOver }: Timeline): Milliseconds {
  const inBlocks = segments.filter(({ doing }) => doing.kind === 'breath' && counted.has(doing.part))
  const over = breathOver.filter(({ part }) => counted.has(part))
  return [...inBlocks, ...over].reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0)
}

/** More counted breath than the level has. */
export const breathLongForLevel: Rule<'BREATH_LONG_FOR_LEVEL'> = {
  code: 'BREATH_LONG_FOR_LEVEL',
  grade: 'look',
  find: ({ timeline, session: { level } }) => {
    const s = countedBreathMs(timeline) / 1000
    const mostS = countedBreathMostS[level]
    return s > mostS && { facts: { s: Math.round(s), mostS, level } }
  },
}
