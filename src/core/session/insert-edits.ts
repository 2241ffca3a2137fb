import type { Block } from '#model/block'
import type { Session } from '#model/session'
import type { Edit } from './apply-edit.ts'
import { usualBlocksEnd } from './places.ts'

/** Puts blocks before the place `at`, a closing only where there is none, and last; nothing where none may come in. */
export function insertEdits(
  session: Session,
  blocks: readonly Block[],
  at: number,
): Extract<Edit, { type: 'insert' }>[] {
  const end = usualBlocksEnd(session)
  const usual = blocks.filter(({ kind }) => kind !== 'closing')
  const closing = end === session.blocks.length ? blocks.filter(({ kind }) => kind === 'closing').slice(0, 1) : []
  const place = Math.min(at, end)
  return [
    ...usual.map((block, index) => ({ type: 'insert' as const, at: place + index, block })),
    ...closing.map((block) => ({ type: 'insert' as const, at: session.blocks.length + usual.length, block })),
  ]
}
