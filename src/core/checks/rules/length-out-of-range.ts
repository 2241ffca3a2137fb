import { sessionLimits } from '#model/limits'
import type { Rule } from '../rule.ts'

/** A session comes to what it may be meant to fill: 5 min to 4 h [decisions]. */
export const lengthOutOfRange: Rule<'LENGTH_OUT_OF_RANGE'> = {
  code: 'LENGTH_OUT_OF_RANGE',
  grade: 'must',
  find: ({ timeline, blocks }) => {
    const totalS = Math.ceil(timeline.totalMs / 1000)
    const { leastS, mostS } = sessionLimits
    if (blocks.length === 0 || (totalS >= leastS && totalS <= mostS)) return []
    return [{ facts: { totalS, leastS, mostS } }]
  },
}
