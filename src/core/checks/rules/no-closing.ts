import { freeId } from '../free-id.ts'
import type { Rule } from '../rule.ts'

/** A session without a closing: no final rest, no coming up in steps [handbook: the end is hurried]. */
export const noClosing: Rule<'NO_CLOSING'> = {
  code: 'NO_CLOSING',
  grade: 'look',
  find: ({ blocks, session }) => {
    if (blocks.length === 0 || blocks.at(-1)?.kind === 'closing') return []
    const block = { kind: 'closing', id: freeId('closing', session.blocks) } as const
    const edits = [{ type: 'insert', at: session.blocks.length, block } as const]
    return [{ facts: { blocks: blocks.length }, mend: { by: 'edits', edits } }]
  },
}
