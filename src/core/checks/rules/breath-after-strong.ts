import { sectionMs } from '#core/breath'
import { withQuiet } from '#core/session'
import type { ResolvedBreath } from '#core/session'
import type { Seconds } from '#core/units'
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
      if (block.kind !== 'breath' || former?.kind !== 'hold') return []
      const quiet = quietBefore(block)
      if (quiet === undefined) return []
      const restS = former.times.afterRestS.value + quiet
      if (former.pose.sensation.to < strongFrom || restS >= leastRestS) return []
      const edits = [{ type: 'replace', block: withQuiet(block.block, 'before', mendS) } as const]
      return [
        {
          blockId: block.block.id,
          facts: { restS, sensation: former.pose.sensation.to, poseId: former.block.poseId },
          mend: { by: 'edits', edits },
        },
      ]
    }),
}

/** Natural breath at the start of breath work; undefined where nothing in it is counted. */
function quietBefore({ sections }: ResolvedBreath): Seconds | undefined {
  const first = sections.findIndex(({ kind }) => kind === 'rounds' || kind === 'retention' || kind === 'strokes')
  if (first < 0) return undefined
  return sections.slice(0, first).reduce((sum, section) => sum + sectionMs(section), 0) / 1000
}
