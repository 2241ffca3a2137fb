import { changesBetween } from '#core/session'
import type { ChangeCosts, Resolved } from '#core/session'
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
  /** By where people are and what lies there, as `changesBetween` numbers it; undefined at the start. */
  readonly of: (stand: number | undefined, block: number) => PairCost
  /** Where people are and what lies there after a block. */
  readonly after: (stand: number | undefined, block: number) => number | undefined
  /** Seconds no change into a block goes below that comes from where another leaves people; 0 for a talk. */
  readonly leastInto: (block: number, from: number) => Seconds
  /** Whether a block has a place of its own to come to. */
  readonly isCome: (block: number) => boolean
}

const nothing: PairCost = { changeS: 0, moves: 0, trips: 0 }

/** Costs by the changes between the blocks, each computed when it is first asked for. */
export function orderCosts(blocks: readonly Resolved[], costs: ChangeCosts): OrderCosts {
  const changes = changesBetween(blocks, costs)
  const cost = (block: number, stand: number | undefined): PairCost => {
    const change = changes.into(block, stand)
    if (!change) return nothing
    const isMove = change.from !== undefined && change.from !== change.to
    return { changeS: change.changeS.value, moves: isMove ? 1 : 0, trips: Math.min(change.trips, mostTrips) }
  }
  const known = new Map<number, PairCost>()
  const stands = new Map<number, number | undefined>()
  const keyOf = (stand: number | undefined, block: number) => (stand ?? -1) * blocks.length + block
  return {
    of: (stand, block) => {
      const key = keyOf(stand, block)
      const found = known.get(key) ?? cost(block, stand)
      known.set(key, found)
      return found
    },
    after: (stand, block) => {
      const key = keyOf(stand, block)
      if (!stands.has(key)) stands.set(key, changes.after(block, stand))
      return stands.get(key)
    },
    leastInto: changes.leastInto,
    isCome: (block) => blocks[block] !== undefined && blocks[block].kind !== 'talk',
  }
}

/** What an order costs: change seconds first, then changes of base position, then trips [decisions, fits]. */
export function costOf(order: readonly number[], costs: OrderCosts): PairCost {
  let stand: number | undefined
  let sum = nothing
  for (const block of order) {
    sum = plus(sum, costs.of(stand, block))
    stand = costs.after(stand, block)
  }
  return sum
}

const plus = (a: PairCost, b: PairCost): PairCost => ({
  changeS: a.changeS + b.changeS,
  moves: a.moves + b.moves,
  trips: a.trips + b.trips,
})

/** Moves and trips of a session stay under this: it has at most 200 blocks, each of at most so many trips that count. */
const radix = 2 ** 16
const mostTrips = 300

/** The cost as one number, so that the first that differs decides. */
export const rankOf = ({ changeS, moves, trips }: PairCost): number => (changeS * radix + moves) * radix + trips
