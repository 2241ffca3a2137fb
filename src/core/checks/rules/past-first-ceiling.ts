import { leastHoldOf } from '#core/session'
import { heldWithin } from '../set-hold.ts'
import type { Rule } from '../rule.ts'

/** A hold longer than the register's first ceiling for its families and the class's level [cautions reference 2.1]. */
export const pastFirstCeiling: Rule<'PAST_FIRST_CEILING'> = {
  code: 'PAST_FIRST_CEILING',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap(({ id, hold, sides }) => {
      const { ceilingS } = hold
      const holdS = Math.max(...sides.map((side) => side.holdS))
      if (sides.length === 0 || holdS <= ceilingS) return []
      const canGoDown = leastHoldOf(hold.block.phases ?? []) <= ceilingS && ceilingS >= 5
      return [
        { blockId: id, facts: { holdS, ceilingS }, ...(canGoDown ? { mend: heldWithin(hold, 5, ceilingS) } : {}) },
      ]
    }),
}
