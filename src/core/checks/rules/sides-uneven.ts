import { linkHold } from '#core/session'
import type { Rule } from '../rule.ts'

/** Past this share of the longer side the two are not even [handbook, evenness; decisions]. */
const mostShare = 0.1

/** The sides of a hold differ by more than a tenth; with a reason given it is only a tip. */
export const sidesUneven: Rule<'SIDES_UNEVEN'> = {
  code: 'SIDES_UNEVEN',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap(({ id, hold, sides }) => {
      const on = (side: 'left' | 'right') => sides.find((held) => held.side === side)?.holdS
      const [leftS, rightS] = [on('left'), on('right')]
      if (leftS === undefined || rightS === undefined) return []
      const share = Math.abs(leftS - rightS) / Math.max(leftS, rightS)
      if (share <= mostShare || !hold.block.hold) return []
      const isExplained =
        'why' in hold.block.hold && hold.block.hold.why !== undefined && hold.block.hold.why.trim() !== ''
      return [
        {
          blockId: id,
          ...(isExplained ? { grade: 'tip' as const } : {}),
          facts: { leftS, rightS, percent: Math.round(share * 100) },
          mend: {
            by: 'edits',
            edits: [{ type: 'replace', block: { ...hold.block, hold: linkHold(hold.block.hold) } }],
          },
        },
      ]
    }),
}
