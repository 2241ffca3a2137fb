import { withTimes } from '../set-hold.ts'
import type { Rule } from '../rule.ts'

/** From here on a hold is long [handbook: yin 3 to 5 min]. */
const longS = 180
/** In less than this nothing can be said [estimate: one short sentence]. */
const leastS = 10

/** A long hold with no time before it in which to say how it is done. */
export const silentBeforeHold: Rule<'SILENT_BEFORE_HOLD'> = {
  code: 'SILENT_BEFORE_HOLD',
  grade: 'look',
  find: ({ holds, session }) =>
    holds.flatMap(({ id, hold, sides }) => {
      const holdS = Math.max(0, ...sides.map((side) => side.holdS))
      const beforeS = hold.times.setUpS.value + hold.times.settleS.value
      if (holdS < longS || beforeS >= leastS) return []
      const mend = withTimes(hold, { setUpS: hold.pose.times.setUpS[session.level], settleS: hold.pose.times.settleS })
      return [{ blockId: id, facts: { holdS, beforeS }, mend }]
    }),
}
