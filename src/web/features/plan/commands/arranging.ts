import type { Block } from '#model/block'
import type { Session } from '#model/session'
import {
  indexOfBlock,
  insertEdits,
  insertionIndex,
  orderEdits,
  orderShifted,
  orderWith,
  usualBlocksEnd,
} from '#core/session'
import { chosenIds, idsOf, namesOf, nothing, nothingChosen } from './plan-state.ts'
import type { Outcome, PlanState } from './plan-state.ts'

const oneClosing = 'There is a closing already: a session has one, at its end.'
const full = 'A session holds up to 200 blocks.'

/** Puts a new block after the chosen one, or before the place `at`. */
export function add(
  state: PlanState,
  { block, name, at }: { readonly block: Block; readonly name: string; readonly at?: number },
): Outcome {
  const { session, selection } = state
  const place =
    at === undefined || block.kind === 'closing'
      ? insertionIndex(session, block.kind, selection.chosen)
      : Math.min(at, usualBlocksEnd(session))
  if (place === undefined) return { says: oneClosing }
  return {
    step: { edits: [{ type: 'insert', at: place, block }], words: `add ${name}` },
    selection: { ...nothingChosen, chosen: block.id },
    says: `${name} added, block ${String(place + 1)} of ${String(session.blocks.length + 1)}`,
    fails: full,
  }
}

/** Takes blocks out; what stood after the first of them is chosen then. */
export function remove(state: PlanState, { ids }: { readonly ids: readonly string[] }): Outcome {
  const { session } = state
  const [first] = ids
  if (first === undefined) return nothing
  const left = session.blocks.filter(({ id }) => !ids.includes(id))
  const at = session.blocks.slice(0, indexOfBlock(session, first)).filter(({ id }) => !ids.includes(id)).length
  const names = namesOf(state, ids)
  return {
    step: { edits: ids.map((id) => ({ type: 'remove', id })), words: `remove ${names}` },
    selection: { ...nothingChosen, chosen: (left[at] ?? left[at - 1])?.id },
    says: `${names} removed`,
  }
}

interface Insert {
  readonly blocks: readonly Block[]
  /** Absent: after the last that is chosen. */
  readonly at?: number
  readonly words: string
  readonly done: string
}

/** Copies of blocks before the place `at`; a closing only where there is none, and last. */
export function insert(state: PlanState, { blocks, at, words, done }: Insert): Outcome {
  const { session, newId } = state
  const copies = blocks.map((block): Block => ({ ...structuredClone(block), id: newId() }))
  const place = at ?? insertionIndex(session, 'hold', chosenIds(state).at(-1)) ?? session.blocks.length
  const edits = insertEdits(session, copies, place)
  const [first] = edits
  if (!first) return { says: oneClosing }
  const total = session.blocks.length + edits.length
  const where =
    edits.length === 1
      ? `block ${String(first.at + 1)} of ${String(total)}`
      : `blocks ${String(first.at + 1)} to ${String(first.at + edits.length)} of ${String(total)}`
  return {
    step: { edits, words },
    selection: { chosen: first.block.id, also: new Set(edits.map(({ block }) => block.id)) },
    says: `${done}, ${where}`,
    fails: full,
  }
}

/** Copies of blocks after the last of them; there is only one closing. */
export function duplicate(state: PlanState, { ids }: { readonly ids: readonly string[] }): Outcome {
  const { session } = state
  const blocks = session.blocks.filter(({ id, kind }) => ids.includes(id) && kind !== 'closing')
  const last = blocks.at(-1)
  if (!last) return nothing
  const names = namesOf(
    state,
    blocks.map(({ id }) => id),
  )
  const at = indexOfBlock(session, last.id) + 1
  return insert(state, { blocks, at, words: `duplicate ${names}`, done: `${names} duplicated` })
}

/** Blocks to before the place `at`, counted as the session stands now. */
export const moveTo = (
  state: PlanState,
  { ids, at }: { readonly ids: readonly string[]; readonly at: number },
): Outcome => reorder(state, ids, orderWith(idsOf(state), new Set(ids), Math.min(at, usualBlocksEnd(state.session))))

/** Each of some blocks one place up or down. */
export const moveBy = (
  state: PlanState,
  { ids, by }: { readonly ids: readonly string[]; readonly by: 1 | -1 },
): Outcome => reorder(state, ids, orderShifted(idsOf(state), new Set(ids), by, endOf(state.session)))

const endOf = (session: Session): number => usualBlocksEnd(session)

function reorder(state: PlanState, ids: readonly string[], order: readonly string[]): Outcome {
  const edits = orderEdits(state.session, order)
  const [first = ''] = ids
  if (edits.length === 0) return nothing
  const names = namesOf(state, ids)
  return {
    step: { edits, words: `move ${names}` },
    says: `${names} moved, block ${String(order.indexOf(first) + 1)} of ${String(order.length)}`,
  }
}
