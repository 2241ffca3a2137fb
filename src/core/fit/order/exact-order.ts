import { bitOf, orderProblem } from './order-problem.ts'
import type { OrderProblem, Placed } from './order-problem.ts'
import type { OrderCosts } from './order-costs.ts'
import type { Precedence } from './precedence.ts'

/** As many free blocks the exact search takes: its work more than doubles with each. */
export const mostFreeBlocks = 12

/**
 * The best order of the blocks of `order`, of which those that `mayMove` says may move, and only among their
 * own places: least cost, then the fewest that moved (that fall out of the longest run still in its order),
 * then the earliest blocks of the plan first. Exact: a walk over all sets of what is placed, with the unit
 * placed last. The order given has to keep the precedence itself, else it throws.
 */
export function exactOrder(
  order: readonly number[],
  mayMove: ReadonlySet<number>,
  precedence: Precedence,
  costs: OrderCosts,
): number[] {
  const problem = orderProblem(order, mayMove, precedence, costs)
  if (problem.units.length < 2) return [...order]
  const best = fewestMoved(problem, leastCosts(problem))
  return order.map((block) => (mayMove.has(block) ? (best.shift() ?? block) : block))
}

/** Least cost from here to the end, by what is placed and the unit placed last. */
type Least = (placed: Placed, last: number) => number

function leastCosts(problem: OrderProblem): Least {
  const { units, mayFollow, cost, endCost } = problem
  const none = units.length
  const all = 2 ** none - 1
  const columns = none + 1
  const least = new Float64Array((all + 1) * columns).fill(Infinity)
  for (let last = 0; last < columns; last += 1) least[all * columns + last] = endCost(last)
  for (let placed = all - 1; placed >= 0; placed -= 1) {
    const next = units.flatMap((_, unit) => (mayFollow(placed, unit) ? [unit] : []))
    for (let last = 0; last < columns; last += 1) {
      if (last === none ? placed !== 0 : (placed & bitOf(last)) === 0) continue
      let best = Infinity
      for (const unit of next) {
        const whole = cost(placed, last, unit) + (least[(placed | bitOf(unit)) * columns + unit] ?? Infinity)
        if (whole < best) best = whole
      }
      least[placed * columns + last] = best
    }
  }
  if (least[none] === Infinity) throw new RangeError('exactOrder: the order given breaks its own precedence')
  return (placed, last) => least[placed * columns + last] ?? Infinity
}

/** Of all orders of the least cost, the one in which most blocks keep their order, then the earliest first. */
function fewestMoved({ units, mayFollow, cost }: OrderProblem, least: Least): number[] {
  const none = units.length
  const all = 2 ** none - 1
  const sizeOf = (unit: number) => units[unit]?.length ?? 0
  const optimal = (placed: Placed, last: number): number[] =>
    units.flatMap((_, unit) =>
      mayFollow(placed, unit) && cost(placed, last, unit) + least(placed | bitOf(unit), unit) === least(placed, last)
        ? [unit]
        : [],
    )
  const known = new Map<number, number>()
  /** Most blocks that keep their order from here on; `stayed` is the last unit that did, -1 for none. */
  const mostStaying = (placed: Placed, last: number, stayed: number): number => {
    if (placed === all) return 0
    const key = (placed * (none + 1) + last) * (none + 1) + stayed + 1
    const found = known.get(key)
    if (found !== undefined) return found
    const most = Math.max(...optimal(placed, last).map((unit) => bestWith(placed, unit, stayed).staying))
    known.set(key, most)
    return most
  }
  /** A unit placed next, either as one that keeps its order or as one that moved. */
  const bestWith = (placed: Placed, unit: number, stayed: number): { staying: number; stayed: number } => {
    const here = placed | bitOf(unit)
    const moved = { staying: mostStaying(here, unit, stayed), stayed }
    if (unit <= stayed) return moved
    const kept = { staying: sizeOf(unit) + mostStaying(here, unit, unit), stayed: unit }
    return kept.staying >= moved.staying ? kept : moved
  }
  const order: number[] = []
  let [placed, last, stayed] = [0, none, -1]
  while (placed !== all) {
    const most = mostStaying(placed, last, stayed)
    const from = stayed
    const unit = optimal(placed, last).find((one) => bestWith(placed, one, from).staying === most)
    if (unit === undefined) throw new RangeError('exactOrder: no way on')
    stayed = bestWith(placed, unit, from).stayed
    order.push(...(units[unit] ?? []))
    placed |= bitOf(unit)
    last = unit
  }
  return order
}
