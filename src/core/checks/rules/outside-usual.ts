import { leastHoldOf, usualHold } from '#core/session'
import { heldWithin } from '../set-hold.ts'
import type { Rule } from '../rule.ts'

/**
 * A hold shorter or longer than usual for its practice and level [the pose's ranges, after the handbook's sums].
 * Past the first ceiling that is said instead.
 */
export const outsideUsual: Rule<'OUTSIDE_USUAL'> = {
  code: 'OUTSIDE_USUAL',
  grade: 'tip',
  find: ({ holds, session }) =>
    holds.flatMap(({ id, hold, sides }) => {
      const { fromS, toS } = usualHold(hold.pose, session.practice, session.level)
      const out = sides.find(({ holdS }) => holdS < fromS || holdS > toS)
      if (!out || sides.some(({ holdS }) => holdS > hold.ceilingS)) return []
      const canGoThere = leastHoldOf(hold.block.phases ?? []) <= toS
      return [
        {
          blockId: id,
          facts: { holdS: out.holdS, fromS, toS },
          ...(canGoThere ? { mend: heldWithin(hold, fromS, toS) } : {}),
        },
      ]
    }),
}
