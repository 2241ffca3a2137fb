import { changesBetween } from '#core/session'
import type { ChangeTable, Resolved } from '#core/session'
import type { Seconds } from '#core/units'

/** What it costs to come to a block from another. */
export interface PairCost {
  readonly changeS: Seconds
  /** 1 where the base position changes. */
  readonly moves: number
  /** Trips for props. */
  readonly trips: number
}

/** The costs of every block after every other, and after nothing; blocks by their place in the plan. */
export interface OrderCosts {
  /** `before` is where people came from: the last block with a place of its own, undefined at the start. */
  readonly of: (before: number | undefined, block: number) => PairCost
  /** Where people are after a block: at it, or where they were, after a talk or a rest that names no position. */
  readonly after: (before: number | undefined, block: number) => number | undefined
}

const nothing: PairCost = { changeS: 0, moves: 0, trips: 0 }

/** Costs by the changes between the blocks; props are not counted. */
export function orderCosts(blocks: readonly Resolved[], costs: ChangeTable): OrderCosts {
  const changes = changesBetween(blocks, costs)
  const cost = (block: number, before: number | undefined): PairCost => {
    const change = changes.into(block, before)
    if (!change) return nothing
    const isMove = change.from !== undefined && change.from !== change.to
    return { changeS: change.changeS.value, moves: isMove ? 1 : 0, trips: 0 }
  }
  const table = [undefined, ...blocks.keys()].map((before) => blocks.map((_, block) => cost(block, before)))
  return {
    of: (before, block) => table[before === undefined ? 0 : before + 1]?.[block] ?? nothing,
    after: (before, block) => changes.placeAfter(block, before),
  }
}

/** What an order costs: change seconds first, then changes of base position, then trips [decisions, fits]. */
export function costOf(order: readonly number[], costs: OrderCosts): PairCost {
  let before: number | undefined
  let sum = nothing
  for (const block of order) {
    sum = plus(sum, costs.of(before, block))
    before = costs.after(before, block)
  }
  return sum
}

const plus = (a: PairCost, b: PairCost): PairCost => ({
  changeS: a.changeS + b.changeS,
  moves: a.moves + b.moves,
  trips: a.trips + b.trips,
})

/** Moves and trips of a session stay under this: it has at most 200 blocks. */
const radix = 2 ** 12

/** The cost as one number, so that the first that differs decides. */
export const rankOf = ({ changeS, moves, trips }: PairCost): number => (changeS * radix + moves) * radix + trips
