import { holdPractice } from '#core/session'
import { withTimes } from '../set-hold.ts'
import type { Rule } from '../rule.ts'

/** A hold of this length wants an after-rest in yin [estimate: the shortest usual yin hold is a minute]. */
const fromS = 60

/** Up to this nothing stretches, and there is no effect to notice [handbook: restorative aims at 0 to 2]. */
const noStretch = 2

/** A yin hold that is felt, with nothing after it: the rebound is left out. */
export const noAfterRest: Rule<'NO_AFTER_REST'> = {
  code: 'NO_AFTER_REST',
  grade: 'look',
  find: ({ holds, session }) =>
    holds.flatMap(({ id, hold, sides }) => {
      const isYin = holdPractice(session.practice, hold.pose) === 'yin' && hold.pose.sensation.to > noStretch
      const holdS = Math.max(0, ...sides.map((side) => side.holdS))
      if (!isYin || holdS < fromS || hold.times.afterRestS.value > 0) return []
      const usualS = Math.max(30, hold.pose.times.afterRestS.yin)
      return [{ blockId: id, facts: { holdS, usualS }, mend: withTimes(hold, { afterRestS: usualS }) }]
    }),
}
