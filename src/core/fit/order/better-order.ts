import type { Session } from '#model/session'
import { mapResult } from '#core/result'
import type { Result } from '#core/result'
import { changeCosts, orderEdits, resolveSession } from '#core/session'
import type { Catalog, Edit } from '#core/session'
import type { Seconds } from '#core/units'
import { exactOrder, mostFreeBlocks } from './exact-order.ts'
import { leastChangeS } from './order-bound.ts'
import { costOf, orderCosts, rankOf } from './order-costs.ts'
import type { OrderCosts, PairCost } from './order-costs.ts'
import { precedenceOf } from './precedence.ts'
import type { Precedence } from './precedence.ts'

/** An order to think about; nothing is changed before the teacher takes it. */
export interface OrderSuggestion {
  /** Ids of all blocks in the order suggested; that of the session where there is nothing better. */
  readonly order: readonly string[]
  readonly edits: readonly Edit[]
  readonly now: PairCost
  readonly then: PairCost
  /** Whether no better order exists under the same rules. */
  readonly isBest: boolean
  /** No order has changes of less than this. */
  readonly boundS: Seconds
}

/**
 * The order with the least change time, then the fewest changes of base position, then the fewest trips, then
 * the fewest moved blocks, that keeps fixed blocks and precedence. Exact up to twelve free blocks, beyond that
 * by improving windows and by moving a few at a time until neither helps.
 * Refuses what `resolveSession` refuses.
 */
export function betterOrder(session: Session, catalog: Catalog): Result<OrderSuggestion> {
  return mapResult(resolveSession(session, catalog), (blocks) => {
    const costs = orderCosts(blocks, changeCosts(session, catalog))
    const precedence = precedenceOf(blocks)
    const planned = blocks.map((_, at) => at)
    const free = planned.filter((block) => !precedence.isFixed(block))
    const isBest = free.length <= mostFreeBlocks
    const order = isBest
      ? exactOrder(planned, new Set(free), precedence, costs)
      : improved(planned, free, precedence, costs)
    const ids = order.map((at) => blocks[at]?.block.id ?? '')
    const then = costOf(order, costs)
    return {
      order: ids,
      edits: orderEdits(session, ids),
      now: costOf(planned, costs),
      then,
      isBest,
      boundS: isBest ? then.changeS : leastChangeS(planned, costs),
    }
  })
}

/** Free blocks looked at together; each window is brought into its best order. */
const windowBlocks = 9

/** Better and better by windows and by moves, from the order planned, until neither helps. */
function improved(
  planned: readonly number[],
  free: readonly number[],
  precedence: Precedence,
  costs: OrderCosts,
): number[] {
  const rank = (order: readonly number[]) => rankOf(costOf(order, costs))
  let best = [...planned]
  for (;;) {
    const before = rank(best)
    best = byWindows(best, free.length, precedence, costs)
    best = byMoves(best, precedence, costs)
    if (rank(best) >= before) return best
  }
}

function byWindows(order: readonly number[], freeCount: number, precedence: Precedence, costs: OrderCosts): number[] {
  let best = [...order]
  for (let from = 0; from < freeCount; from += Math.floor(windowBlocks / 2)) {
    const free = best.filter((block) => !precedence.isFixed(block))
    best = exactOrder(best, new Set(whole(free, from, from + windowBlocks, precedence)), precedence, costs)
  }
  return best
}

/** The free blocks of a window, without those at its edges whose counterpose or countered pose lies outside. */
function whole(free: readonly number[], from: number, to: number, { followedBy }: Precedence): number[] {
  const follows = (at: number) => followedBy.get(free[at - 1] ?? -1) === free[at]
  let [first, end] = [from, Math.min(to, free.length)]
  while (first < end && follows(first)) first += 1
  while (end > first && end < free.length && follows(end)) end -= 1
  return free.slice(first, end)
}

/** Blocks that stand together move together, up to so many. */
const mostMovedTogether = 4

/** A free block, or a few that stand together, moved to another free place: the first move that helps, again and again. */
function byMoves(order: readonly number[], precedence: Precedence, costs: OrderCosts): number[] {
  let best = [...order]
  for (;;) {
    const better = firstBetterMove(best, precedence, costs)
    if (!better) return best
    best = better
  }
}

function firstBetterMove(order: readonly number[], precedence: Precedence, costs: OrderCosts): number[] | undefined {
  const { isFixed } = precedence
  const bestRank = rankOf(costOf(order, costs))
  const free = order.filter((block) => !isFixed(block))
  for (let length = 1; length <= mostMovedTogether; length += 1) {
    for (let from = 0; from + length <= free.length; from += 1) {
      const taken = free.slice(from, from + length)
      const left = free.toSpliced(from, length)
      for (let to = 0; to <= left.length; to += 1) {
        if (to === from) continue
        const moved = left.toSpliced(to, 0, ...taken)
        let at = 0
        const other = order.map((block) => (isFixed(block) ? block : (moved[at++] ?? block)))
        if (rankOf(costOf(other, costs)) < bestRank && keeps(other, precedence)) return other
      }
    }
  }
  return undefined
}

/** Whether an order keeps the precedence. */
export function keeps(order: readonly number[], { before, followedBy }: Precedence): boolean {
  const place = new Map(order.map((block, at) => [block, at]))
  const placeOf = (block: number) => place.get(block) ?? -1
  return order.every(
    (block, at) =>
      (before[block] ?? []).every((other) => placeOf(other) < at) &&
      (followedBy.get(block) === undefined || order[at + 1] === followedBy.get(block)),
  )
}
