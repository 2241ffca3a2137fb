import type { Rule } from './rule.ts'

/** Shorter than five minutes or longer than four hours is no class [decisions, typed values: sessions 5 min to 4 h]. */
const least = 300
const most = 14_400

export const lengthOutOfRange: Rule = {
  code: 'LENGTH_OUT_OF_RANGE',
  grade: 'must',
  find: ({ timeline, blocks }) => {
    const totalS = Math.ceil(timeline.totalMs / 1000)
    if (blocks.length === 0 || (totalS >= least && totalS <= most)) return []
    return [{ facts: { totalS, leastS: least, mostS: most } }]
  },
}
