import type { Milliseconds } from '#core/units'
import { reordered, wholePlan } from '../order.ts'

import { enteredMs, restAsLed } from './ahead.ts'
import type { Rest } from './ahead.ts'
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
  const rest = restAsLed(plan, state, book)
  const order = orderWith(rest, blockId, by)
  if (!order) return undefined
  const next = reordered(whole, state, order)
  const then = restAsLed(whole, next, book)
  const tried = { lengths: withChanges(then), leaves: state.leaves, changed: [] }
  return { ...wayOf(then, 'moved', tried, rest.endsMs), order: [...order] }
}

/** The order with a block one place earlier or later; undefined where the rules do not let it. */
export function orderWith(rest: Rest, blockId: string, by: 1 | -1): readonly number[] | undefined {
  const now = rest.state.order ?? rest.book.blocks.map(({ index }) => index)
  const order = swapped(rest, now, blockId, by)
  return order && keepsRules(order, now, rest) ? order : undefined
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

function keepsRules(order: readonly number[], now: readonly number[], { blocks, book, firstAt }: Rest): boolean {
  const closing = now[blocks.findIndex(({ id }) => id === book.finalRest?.id)]
  if (closing !== undefined && order.at(-1) !== closing) return false
  const rank = new Map(order.map((index, at) => [index, at]))
  const rankOf = (at: number | undefined): number => rank.get(now[at ?? -1] ?? -1) ?? -1
  return book.blocks.every(
    ({ index, counters }) => counters === undefined || rankOf(index) < firstAt || rankOf(index) > rankOf(counters),
  )
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
