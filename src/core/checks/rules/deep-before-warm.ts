import type { Target } from '#model/pose'
import { indexOfBlock } from '#core/session'
import type { Resolved } from '#core/session'
import type { Rule } from '../rule.ts'

const warms = (block: Resolved): readonly Target[] => {
  if (block.kind === 'hold') return block.pose.warms
  return block.kind === 'movement' ? block.movement.targets : []
}

/** A pose that wants an area warm, and nothing before it that warms it [handbook: warms before it deepens]. */
export const deepBeforeWarm: Rule<'DEEP_BEFORE_WARM'> = {
  code: 'DEEP_BEFORE_WARM',
  grade: 'look',
  find: ({ blocks, session }) =>
    blocks.flatMap((block, at) => {
      if (block.kind !== 'hold') return []
      const warm = new Set(blocks.slice(0, at).flatMap(warms))
      const target = block.pose.wantsWarm.find((area) => !warm.has(area))
      if (target === undefined) return []
      const warmer = blocks.find((other, place) => place > at && warms(other).includes(target))
      const mend =
        warmer &&
        ({
          by: 'edits',
          edits: [{ type: 'move', id: block.block.id, to: indexOfBlock(session, warmer.block.id) }],
        } as const)
      return [{ blockId: block.block.id, facts: { target }, ...(mend ? { mend } : {}) }]
    }),
}
