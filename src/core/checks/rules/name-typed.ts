import type { Edit } from '#core/session'
import { blockWithoutNames, detailsWithoutNames } from '#core/session'
import type { Rule } from '../rule.ts'

/** The name of one of the people stands in what was typed into a session: it is kept in files and read on paper. */
export const nameTyped: Rule<'NAME_TYPED'> = {
  code: 'NAME_TYPED',
  grade: 'look',
  find({ session, names = [] }) {
    if (names.length === 0) return []
    const details = detailsWithoutNames(session, names)
    const edits: readonly Edit[] = [{ type: 'details', details }]
    return [
      ...(Object.keys(details).length > 0
        ? [{ facts: { in: 'session' as const }, mend: { by: 'edits' as const, edits } }]
        : []),
      ...session.blocks.flatMap((block) => {
        const mended = blockWithoutNames(block, names)
        if (mended === block) return []
        const replaced: readonly Edit[] = [{ type: 'replace', block: mended }]
        return [{ blockId: block.id, facts: { in: 'block' as const }, mend: { by: 'edits' as const, edits: replaced } }]
      }),
    ]
  },
}
