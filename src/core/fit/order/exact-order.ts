import { bitOf, orderProblem } from './order-problem.ts'
import type { OrderProblem, Placed } from './order-problem.ts'
import type { OrderCosts } from './order-costs.ts'
import type { Precedence } from './precedence.ts'

/** As many free blocks the exact search takes: its work more than doubles with each. */
export const mostFreeBlocks = 12

/**
 * The best order of the blocks of `order`, of which those that `mayMove` says may move, and only among their
 * own places: least cost, then the fewest that moved (that fall out of the longest run still in its order),
 * then the earliest blocks of the plan first. Exact: a walk over all sets of what is placed, with the place
 * people are in. The order given has to keep the precedence itself, else it throws.
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

/** Least cost from here to the end, by what is placed and the place people are in. */
type Least = (placed: Placed, place: number) => number

function leastCosts(problem: OrderProblem): Least {
  const { units, places, mayFollow, cost, next: after, endCost } = problem
  const all = 2 ** units.length - 1
  const reached = reachedIn(problem)
  const least = new Float64Array((all + 1) * places).fill(Infinity)
  for (let place = 0; place < places; place += 1) least[all * places + place] = endCost(place)
  for (let placed = all - 1; placed >= 0; placed -= 1) {
    const next = units.flatMap((_, unit) => (mayFollow(placed, unit) ? [unit] : []))
    for (let place = 0; place < places; place += 1) {
      if (reached[placed * places + place] === 0) continue
      let best = Infinity
      for (const unit of next) {
        const here = (placed | bitOf(unit)) * places + after(placed, place, unit)
        const whole = cost(placed, place, unit) + (least[here] ?? Infinity)
        if (whole < best) best = whole
      }
      least[placed * places + place] = best
    }
  }
  if (least[0] === Infinity) throw new RangeError('exactOrder: the order given breaks its own precedence')
  return (placed, place) => least[placed * places + place] ?? Infinity
}

/** Which places can be come to with which units placed: 1 where one can. */
function reachedIn({ units, places, mayFollow, next }: OrderProblem): Uint8Array {
  const all = 2 ** units.length - 1
  const reached = new Uint8Array((all + 1) * places)
  reached[0] = 1
  for (let placed = 0; placed < all; placed += 1)
    for (let place = 0; place < places; place += 1) {
      if (reached[placed * places + place] === 0) continue
      for (let unit = 0; unit < units.length; unit += 1)
        if (mayFollow(placed, unit)) reached[(placed | bitOf(unit)) * places + next(placed, place, unit)] = 1
    }
  return reached
}

/** Of all orders of the least cost, the one in which most blocks keep their order, then the earliest first. */
function fewestMoved({ units, places, mayFollow, cost, next }: OrderProblem, least: Least): number[] {
  const none = units.length
  const all = 2 ** none - 1
  const sizeOf = (unit: number) => units[unit]?.length ?? 0
  const optimal = (placed: Placed, place: number): number[] =>
    units.flatMap((_, unit) => {
      if (!mayFollow(placed, unit)) return []
      const whole = cost(placed, place, unit) + least(placed | bitOf(unit), next(placed, place, unit))
      return whole === least(placed, place) ? [unit] : []
    })
  const known = new Map<number, number>()
  /** Most blocks that keep their order from here on; `stayed` is the last unit that did, -1 for none. */
  const mostStaying = (placed: Placed, place: number, stayed: number): number => {
    if (placed === all) return 0
    const key = (placed * places + place) * (none + 1) + stayed + 1
    const found = known.get(key)
    if (found !== undefined) return found
    const most = Math.max(...optimal(placed, place).map((unit) => bestWith(placed, place, unit, stayed).staying))
    known.set(key, most)
    return most
  }
  /** A unit placed next, either as one that keeps its order or as one that moved. */
  const bestWith = (
    placed: Placed,
    from: number,
    unit: number,
    stayed: number,
  ): { staying: number; stayed: number } => {
    const here = placed | bitOf(unit)
    const place = next(placed, from, unit)
    const moved = { staying: mostStaying(here, place, stayed), stayed }
    if (unit <= stayed) return moved
    const kept = { staying: sizeOf(unit) + mostStaying(here, place, unit), stayed: unit }
    return kept.staying >= moved.staying ? kept : moved
  }
  const order: number[] = []
  let [placed, place, stayed] = [0, 0, -1]
  while (placed !== all) {
    const most = mostStaying(placed, place, stayed)
    const [at, from] = [place, stayed]
    const unit = optimal(placed, place).find((one) => bestWith(placed, at, one, from).staying === most)
    if (unit === undefined) throw new RangeError('exactOrder: no way on')
    stayed = bestWith(placed, place, unit, from).stayed
    order.push(...(units[unit] ?? []))
    place = next(placed, place, unit)
    placed |= bitOf(unit)
  }
  return order
}
