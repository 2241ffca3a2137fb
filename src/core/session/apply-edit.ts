import { mostBlocks } from '#model/limits'
import { keysOf } from '#core/units'
import type { Block } from '#model/block'
import type { Session } from '#model/session'
import { ok, refused } from '#core/result'
import type { Result } from '#core/result'
import { indexOfBlock } from './places.ts'

type Details = Partial<Omit<Session, 'schema' | 'id' | 'blocks'>>

/** A change of a session as data; each has an inverse of the same form. */
export type Edit =
  | { readonly type: 'insert'; readonly at: number; readonly block: Block }
  | { readonly type: 'remove'; readonly id: string }
  | { readonly type: 'move'; readonly id: string; readonly to: number }
  | { readonly type: 'replace'; readonly block: Block }
  | { readonly type: 'details'; readonly details: Details }
  /** Edits one after the other as one step: all of them, or none. */
  | { readonly type: 'several'; readonly edits: readonly Edit[] }

export interface EditDone {
  /** The same object as before when the edit changes nothing. */
  readonly session: Session
  readonly inverse: Edit
}

/**
 * The session with the edit done, and the edit that undoes it.
 * Refuses `UNKNOWN_BLOCK`, `ID_TWICE`, `NO_SUCH_PLACE`, `CLOSING_NOT_LAST` and `TOO_MANY_BLOCKS`.
 */
export function applyEdit(session: Session, edit: Edit): Result<EditDone> {
  switch (edit.type) {
    case 'insert':
      return insert(session, edit.at, edit.block)
    case 'remove':
      return remove(session, edit.id)
    case 'move':
      return move(session, edit.id, edit.to)
    case 'replace':
      return replace(session, edit.block)
    case 'details':
      return ok(details(session, edit.details))
    case 'several':
      return several(session, edit.edits)
  }
}

function several(session: Session, edits: readonly Edit[]): Result<EditDone> {
  let now = session
  const inverses: Edit[] = []
  for (const edit of edits) {
    const done = applyEdit(now, edit)
    if (!done.ok) return done
    if (done.value.session === now) continue
    now = done.value.session
    inverses.unshift(done.value.inverse)
  }
  return ok({ session: now, inverse: { type: 'several', edits: inverses } })
}

function withBlocks(session: Session, blocks: readonly Block[], inverse: Edit): Result<EditDone> {
  const early = blocks.findIndex((block, index) => block.kind === 'closing' && index < blocks.length - 1)
  if (early >= 0) return refused('CLOSING_NOT_LAST', `blocks[${String(early)}]`)
  return ok({ session: { ...session, blocks: [...blocks] }, inverse })
}

function insert(session: Session, at: number, block: Block): Result<EditDone> {
  if (indexOfBlock(session, block.id) >= 0) return refused('ID_TWICE', 'blocks', { id: block.id })
  if (session.blocks.length >= mostBlocks) return refused('TOO_MANY_BLOCKS', 'blocks', { most: mostBlocks })
  if (at < 0 || at > session.blocks.length) return refused('NO_SUCH_PLACE', 'blocks', { at })
  return withBlocks(session, session.blocks.toSpliced(at, 0, block), { type: 'remove', id: block.id })
}

function remove(session: Session, id: string): Result<EditDone> {
  const at = indexOfBlock(session, id)
  const block = session.blocks[at]
  if (!block) return refused('UNKNOWN_BLOCK', 'blocks', { id })
  return withBlocks(session, session.blocks.toSpliced(at, 1), { type: 'insert', at, block })
}

function move(session: Session, id: string, to: number): Result<EditDone> {
  const at = indexOfBlock(session, id)
  const block = session.blocks[at]
  if (!block) return refused('UNKNOWN_BLOCK', 'blocks', { id })
  if (to < 0 || to >= session.blocks.length) return refused('NO_SUCH_PLACE', 'blocks', { at: to })
  const inverse: Edit = { type: 'move', id, to: at }
  if (to === at) return ok({ session, inverse })
  return withBlocks(session, session.blocks.toSpliced(at, 1).toSpliced(to, 0, block), inverse)
}

function replace(session: Session, block: Block): Result<EditDone> {
  const at = indexOfBlock(session, block.id)
  const former = session.blocks[at]
  if (!former) return refused('UNKNOWN_BLOCK', 'blocks', { id: block.id })
  const inverse: Edit = { type: 'replace', block: former }
  if (former === block) return ok({ session, inverse })
  return withBlocks(session, session.blocks.with(at, block), inverse)
}

function details(session: Session, change: Details): EditDone {
  const names = keysOf<keyof Details>(change)
  const former = Object.fromEntries(names.map((name) => [name, session[name]])) as Details
  const inverse: Edit = { type: 'details', details: former }
  if (names.every((name) => session[name] === change[name])) return { session, inverse }
  return { session: { ...session, ...change }, inverse }
}
