import { positionWalk } from '../position-walk.ts'
import type { Rule } from '../rule.ts'

/** The same two base positions back and forth: there, back, and there again. */
export const backAndForth: Rule<'BACK_AND_FORTH'> = {
  code: 'BACK_AND_FORTH',
  grade: 'tip',
  find: (look) => {
    const walk = positionWalk(look)
    const at = walk.findIndex(
      ({ position }, index) =>
        index >= 3 && position === walk[index - 2]?.position && walk[index - 1]?.position === walk[index - 3]?.position,
    )
    const [there, here] = [walk[at], walk[at - 1]]
    return there && here
      ? [{ blockId: there.id, facts: { from: here.position, to: there.position }, mend: { by: 'order' } }]
      : []
  },
}
