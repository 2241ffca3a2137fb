import type { Milliseconds } from '#core/units'
import { orderedPlan, reordered, wholePlan } from '../order.ts'
import type { LeadPlan } from '../lead-plan.ts'

import { enteredMs, restOf } from './ahead.ts'
import type { Rest } from './ahead.ts'
import { orderedBook } from './ordered-book.ts'
import type { Wanted, Way } from './ways.ts'
import { wayOf } from './ways.ts'

type Where = Pick<Wanted, 'plan' | 'state' | 'book'>

/**
 * A block that has not begun led before the one in front of it (`by` −1) or after the next one (1): whoever comes from
 * elsewhere than planned takes what that change takes. Undefined where it cannot be: what has begun stays, the closing is
 * last, and a counterpose comes after what it counters.
 */
export function movedBy({ plan, state, book }: Where, blockId: string, by: 1 | -1): Way | undefined {
  const whole = wholePlan(plan)
  const now = orderedPlan(whole, state.order)
  const rest = restOf(now, state, orderedBook(book, state.order))
  const order = swapped(rest, state.order ?? book.blocks.map(({ index }) => index), blockId, by)
  if (!order || !keepsRules(order, rest, whole, book)) return undefined
  const next = reordered(whole, state, order)
  const then = restOf(orderedPlan(whole, order), next, orderedBook(book, order))
  const lengths = withChanges(then)
  return { ...wayOf(then, 'moved', { lengths, leaves: state.leaves, changed: [] }, rest.endsMs), order: [...order] }
}

/** The order with a block and its neighbour changed over; undefined where either has begun or is not there. */
function swapped(
  { blocks, firstAt }: Rest,
  order: readonly number[],
  blockId: string,
  by: 1 | -1,
): readonly number[] | undefined {
  const at = blocks.findIndex(({ id }) => id === blockId)
  // A block of no length is none to be passed.
  let to = at + by
  while (to >= firstAt && to < blocks.length && blocks[to]?.segments.length === 0) to += by
  const [one, other] = [order[at], order[to]]
  if (at < firstAt || to < firstAt || to >= blocks.length || one === undefined || other === undefined) return undefined
  return order.with(at, other).with(to, one)
}

function keepsRules(order: readonly number[], { firstAt }: Rest, whole: LeadPlan, { blocks }: Wanted['book']): boolean {
  const closing = whole.segments.find(({ doing }) => doing.kind === 'closing')?.blockIndex
  if (closing !== undefined && order.at(-1) !== closing) return false
  const rank = new Map(order.map((index, at) => [index, at]))
  return blocks.every(({ index, counters }) => {
    const at = rank.get(index) ?? 0
    return counters === undefined || at < firstAt || at > (rank.get(counters) ?? -1)
  })
}

/** Lengths with each change as it is from where people then come. */
function withChanges(rest: Rest): Milliseconds[] {
  const { state, book, blocks, firstAt } = rest
  const lengths = [...state.lengths]
  let stand: number | undefined
  for (const [at, { id, entered }] of blocks.entries()) {
    if (state.leaves.includes(id)) continue
    if (at >= firstAt && entered) lengths[entered.index] = enteredMs(rest, at, stand)
    stand = book.blocks[at]?.leaves(stand)
  }
  return lengths
}
