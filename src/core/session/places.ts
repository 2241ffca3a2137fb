import type { BlockKind } from '#model/block'
import type { Session } from '#model/session'

/** Where a block stands, or -1. */
export const indexOfBlock = (session: Session, id: string): number =>
  session.blocks.findIndex((block) => block.id === id)

/** One past the last place that is not the closing's. */
export function usualBlocksEnd(session: Session): number {
  return session.blocks.at(-1)?.kind === 'closing' ? session.blocks.length - 1 : session.blocks.length
}

/**
 * Where a new block goes: after the chosen one, never after the closing, a closing always last.
 * Undefined when there is a closing already and another is asked for.
 */
export function insertionIndex(session: Session, kind: BlockKind, afterId: string | undefined): number | undefined {
  const end = usualBlocksEnd(session)
  if (kind === 'closing') return end === session.blocks.length ? end : undefined
  const after = afterId === undefined ? -1 : indexOfBlock(session, afterId)
  return after < 0 ? end : Math.min(after + 1, end)
}
