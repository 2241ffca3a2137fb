import { finalRestFloorS } from '#core/session'
import type { Rule } from '../rule.ts'

/** The final rest is under its floor: a tenth of the length, at least three minutes [decisions, fits]. */
export const finalRestShort: Rule<'FINAL_REST_SHORT'> = {
  code: 'FINAL_REST_SHORT',
  grade: 'look',
  find: ({ blocks, session }) => {
    const closing = blocks.at(-1)
    if (closing?.kind !== 'closing') return []
    const floorS = finalRestFloorS(session.lengthS, closing.ceilingS)
    const restS = closing.finalRestS.value
    if (restS >= floorS) return []
    const edits = [{ type: 'replace', block: { ...closing.block, finalRestS: floorS } } as const]
    return [{ blockId: closing.block.id, facts: { restS, floorS }, mend: { by: 'edits', edits } }]
  },
}
