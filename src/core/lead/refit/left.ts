import type { Milliseconds } from '#core/units'
import { aheadIn, endWith, leavingOut, restAsLed } from './ahead.ts'
import type { Rest } from './ahead.ts'
import { finalRestBy, holdsBy } from './holds.ts'
import { withCounters } from './leave-out.ts'
import { orderWith } from './moves.ts'
import { wayOf } from './ways.ts'
import type { Wanted, Way } from './ways.ts'

/** A block that has not begun, as it stands in what is left. */
export interface LeftBlock {
  readonly blockId: string
  readonly startsMs: Milliseconds
  /** With its change; 0 where it is left out. */
  readonly lengthMs: Milliseconds
  readonly isOut: boolean
  /** Whether it may be left out, or put back. */
  readonly mayGo: boolean
  /** Whether it may be led earlier, or later. */
  readonly mayMove: { readonly earlier: boolean; readonly later: boolean }
}

type Where = Omit<Wanted, 'endMs'>

/** What is left of a class: every block that has not begun, in its order. */
export function leftIn({ plan, state, book }: Where): readonly LeftBlock[] {
  const rest = restAsLed(plan, state, book)
  const ahead = rest.blocks.slice(rest.firstAt).filter(({ segments }) => segments.length > 0)
  const lengthOf = ({ segments }: (typeof ahead)[number]): Milliseconds =>
    segments.reduce((sum, { index }) => sum + (state.lengths[index] ?? 0), 0)
  let startsMs = rest.endsMs - ahead.reduce((sum, block) => sum + lengthOf(block), 0)
  return ahead.map((block) => {
    const lengthMs = lengthOf(block)
    const isOut = state.leaves.includes(block.id)
    const mayMove = {
      earlier: orderWith(rest, block.id, -1) !== undefined,
      later: orderWith(rest, block.id, 1) !== undefined,
    }
    const row = { blockId: block.id, startsMs, lengthMs, isOut, mayGo: isOut || mayLeave(rest, block.id), mayMove }
    startsMs += lengthMs
    return row
  })
}

const candidateOf = ({ blocks, book }: Rest, blockId: string) =>
  book.blocks[blocks.findIndex(({ id }) => id === blockId)]

/** Whatever must not stay, and is not there to counter something that stays. */
function mayLeave(rest: Rest, blockId: string): boolean {
  const candidate = candidateOf(rest, blockId)
  if (!candidate || candidate.must) return false
  const { counters, mayLeave: may } = candidate
  return counters === undefined || may || rest.state.leaves.includes(rest.blocks[counters]?.id ?? '')
}

/**
 * A block that has not begun left out, with what is there to counter it, or put back, with what it is there to counter.
 * Undefined where it must stay.
 */
export function toggled({ plan, state, book }: Where, blockId: string): Way | undefined {
  const rest = restAsLed(plan, state, book)
  const candidate = candidateOf(rest, blockId)
  const isOut = state.leaves.includes(blockId)
  if (!candidate || (!isOut && !mayLeave(rest, blockId))) return undefined
  const bound = isOut && candidate.counters !== undefined && !candidate.mayLeave ? [candidate.counters] : []
  const ids = new Set([...withCounters(rest, [candidate.index, ...bound])].map((at) => rest.blocks[at]?.id ?? ''))
  const ahead = new Set(rest.blocks.slice(rest.firstAt).map(({ id }) => id))
  const leaves = isOut
    ? state.leaves.filter((id) => !ids.has(id))
    : [...new Set([...state.leaves, ...[...ids].filter((id) => ahead.has(id))])]
  return wayOf(rest, 'left', { lengths: leavingOut(rest, new Set(leaves)), leaves, changed: [] }, rest.endsMs)
}

/** What keeps a class from ending when it is to: blocks that must stay, holds at their floors, the final rest at its own. */
export interface InTheWay {
  readonly blockId: string
  readonly of: 'block' | 'hold' | 'finalRest'
}

/** What stands in the way where neither poses that are left out nor shorter holds bring a class to its end. */
export function inTheWay({ plan, state, book, endMs }: Wanted): readonly InTheWay[] {
  const rest = restAsLed(plan, state, book)
  const asItIs = { lengths: state.lengths, leaves: state.leaves, changed: [] }
  const least = holdsBy(rest, asItIs, endMs - rest.endsMs)
  if (endWith(rest, least.lengths) <= endMs) return []
  const ahead = aheadIn(rest, new Set(state.leaves))
  const isHold = new Set(book.holds.keys())
  return [
    ...ahead.flatMap(({ id }): InTheWay[] => {
      const candidate = candidateOf(rest, id)
      return candidate?.must && isHold.has(id) ? [{ blockId: id, of: 'block' }] : []
    }),
    ...ahead.flatMap(({ id }): InTheWay[] => (isHold.has(id) ? [{ blockId: id, of: 'hold' }] : [])),
    ...(finalRestBy(rest, least, -1000) === least && book.finalRest && ahead.some(({ id }) => id === book.finalRest?.id)
      ? [{ blockId: book.finalRest.id, of: 'finalRest' } as const]
      : []),
  ]
}
