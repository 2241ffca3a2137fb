import type { Edit, ResolvedHold } from '#core/session'
import type { Seconds } from '#core/units'
import type { Mend } from './rule.ts'

const replacing = (block: ResolvedHold['block']): Edit => ({ type: 'replace', block })

/** Every side of a hold brought to a time between two. */
export function heldWithin({ block, sides }: ResolvedHold, fromS: Seconds, toS: Seconds): Mend {
  const within = (seconds: Seconds) => Math.min(toS, Math.max(fromS, seconds))
  const on = (side: 'left' | 'right') =>
    within(sides.find((held) => held.side === side)?.holdS ?? sides[0]?.holdS ?? fromS)
  const { hold } = block
  if (hold && 'leftS' in hold)
    return { by: 'edits', edits: [replacing({ ...block, hold: { ...hold, leftS: on('left'), rightS: on('right') } })] }
  return { by: 'edits', edits: [replacing({ ...block, hold: { holdS: on('left') } })] }
}

/** A hold with some of its times set in the block. */
export const withTimes = ({ block }: ResolvedHold, times: NonNullable<ResolvedHold['block']['times']>): Mend => ({
  by: 'edits',
  edits: [replacing({ ...block, times: { ...block.times, ...times } })],
})
