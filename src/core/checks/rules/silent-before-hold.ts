import type { ResolvedHold } from '#core/session'
import type { Seconds } from '#core/units'
import { withTimes } from '../set-hold.ts'
import type { Rule } from '../rule.ts'

/** From here on a hold is long [handbook: yin 3 to 5 min]. */
const longS = 180
/** In less than this nothing can be said [estimate: one short sentence]. */
const leastS = 10

/** What there is to say a side in: the set-up of this side, and the settling. */
const beforeS = ({ times }: ResolvedHold, turn: number): Seconds =>
  (turn > 0 ? times.betweenSidesS.value + times.secondSetUpS.value : times.setUpS.value) + times.settleS.value

/** A long hold with no time before it, on either side, in which to say how it is done. */
export const silentBeforeHold: Rule<'SILENT_BEFORE_HOLD'> = {
  code: 'SILENT_BEFORE_HOLD',
  grade: 'look',
  find: ({ holds, session }) =>
    holds.flatMap(({ id, hold, sides }) => {
      const turn = sides.findIndex(({ holdS }, at) => holdS >= longS && beforeS(hold, at) < leastS)
      const silent = sides[turn]
      if (!silent) return []
      const setUpS = Math.max(leastS, hold.pose.times.setUpS[session.level])
      const mend = withTimes(hold, {
        ...(turn > 0 ? { secondSetUpS: Math.max(leastS, Math.ceil(setUpS / 2)) } : { setUpS }),
        settleS: hold.pose.times.settleS,
      })
      return [{ blockId: id, facts: { holdS: silent.holdS, beforeS: beforeS(hold, turn) }, mend }]
    }),
}
