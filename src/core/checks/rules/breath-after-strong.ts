import type { Rule } from '../rule.ts'

/** From this sensation on a hold is strong [handbook: yin aims at 4 to 6]. */
const strongFrom = 5
/** Rest enough between it and counted breath [handbook: rebounds from 30 s]. */
const leastRestS = 30
const mendS = 60

/** Counted breath begins straight after a strong hold. */
export const breathAfterStrong: Rule<'BREATH_AFTER_STRONG'> = {
  code: 'BREATH_AFTER_STRONG',
  grade: 'look',
  find: ({ blocks }) =>
    blocks.flatMap((block, at) => {
      const former = blocks[at - 1]
      if (block.kind !== 'breath' || block.pattern === undefined || former?.kind !== 'hold') return []
      const restS = former.times.afterRestS.value + block.naturalBeforeS
      if (former.pose.sensation.to < strongFrom || restS >= leastRestS) return []
      const edits = [{ type: 'replace', block: { ...block.block, naturalBeforeS: mendS } } as const]
      return [
        {
          blockId: block.block.id,
          facts: { restS, sensation: former.pose.sensation.to, poseId: former.block.poseId },
          mend: { by: 'edits', edits },
        },
      ]
    }),
}
