import { withTimes } from '../set-hold.ts'
import type { Rule } from '../rule.ts'

/** Fewer after-rests than this say nothing about their course. */
const least = 3
/** The last at half the first or less is more than chance [estimate]. */
const mostShare = 0.5

/** After-rests that only get shorter through the class, the last at most half the first [handbook: they shrink unless planned]. */
export const afterRestsShrink: Rule<'AFTER_RESTS_SHRINK'> = {
  code: 'AFTER_RESTS_SHRINK',
  grade: 'tip',
  find: ({ holds }) => {
    const rests = holds.map(({ id, hold }) => ({ id, hold, s: hold.times.afterRestS.value })).filter(({ s }) => s > 0)
    const [first, last] = [rests[0], rests.at(-1)]
    if (!first || !last || rests.length < least || last.s > first.s * mostShare) return []
    if (rests.some(({ s }, at) => s > (rests[at - 1]?.s ?? s))) return []
    return [
      {
        blockId: last.id,
        facts: { firstS: first.s, lastS: last.s, count: rests.length },
        mend: withTimes(last.hold, { afterRestS: first.s }),
      },
    ]
  },
}
