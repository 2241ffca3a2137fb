import { positionWalk } from '../position-walk.ts'
import type { Rule } from '../rule.ts'

/** More than one change of base position in this time is restless [estimate: two long holds]. */
const minutesAChange = 6
/** Fewer changes than this are never too many. */
const leastChanges = 6

/** People change their base position too often for the time there is. */
export const manyPositionChanges: Rule<'MANY_POSITION_CHANGES'> = {
  code: 'MANY_POSITION_CHANGES',
  grade: 'tip',
  find: (look) => {
    const changes = positionWalk(look).length - 1
    const minutes = Math.round(look.timeline.totalMs / 60_000)
    const isMany = changes >= leastChanges && changes > minutes / minutesAChange
    return isMany ? [{ facts: { changes, minutes }, mend: { by: 'order' } }] : []
  },
}
