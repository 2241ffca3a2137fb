import { rankOf } from './order-costs.ts'
import type { OrderCosts } from './order-costs.ts'
import type { Precedence } from './precedence.ts'

/** Blocks that move together: one, or one with the counterposes that follow it at once. */
type Unit = readonly number[]

/** As many free blocks the exact search takes: its work doubles with each. */
export const mostFreeBlocks = 12

/**
 * The best order of the blocks of `order`, of which those that `mayMove` says may move, and only among their
 * own places: least cost, then the fewest that moved (that fall out of the longest run still in its order),
 * then the earliest blocks of the plan first. Exact: a walk over all subsets of what is placed, with the unit
 * placed last. The order given has to keep the precedence itself.
 */
export function exactOrder(order: readonly number[], mayMove: ReadonlySet<number>, { before, anyBefore, followedBy }: Precedence, costs: OrderCosts): number[] {
  const units = unitsOf(order, mayMove, followedBy)
  const count = units.length
  if (count < 2) return [...order]
  const unitOf = new Map(units.flatMap((unit, at) => unit.map((block) => [block, at] as const)))
  const maskOf = (blocks: readonly number[]) => blocks.reduce((mask, block) => mask | bitOf(unitOf.get(block)), 0)
  const isOutside = (block: number) => !unitOf.has(block)
  const needs = units.map((unit, at) => maskOf(unit.flatMap((block) => before[block] ?? [])) & ~bitOf(at))
  // A group with something outside is warmed there already: what may move stays among its own places.
  const needsAny = units.map((unit) =>
    unit.flatMap((block) => (anyBefore[block] ?? []).filter((group) => !group.some((one) => isOutside(one) || unit.includes(one))).map(maskOf)),
  )
  const slots = slotsOf(order, mayMove)
  const sizeOf = Array.from({ length: 2 ** count }, () => 0)
  for (let placed = 1; placed < sizeOf.length; placed += 1) {
    const lowest = 31 - Math.clz32(placed & -placed)
    sizeOf[placed] = (sizeOf[placed & (placed - 1)] ?? 0) + (units[lowest]?.length ?? 0)
  }

  /** Where people are when the blocks between two free places are done, and what that costs. */
  function through(blocks: readonly number[], from: number | undefined): { rank: number; at: number | undefined } {
    let [rank, at] = [0, from]
    for (const block of blocks) {
      rank += rankOf(costs.of(at, block))
      at = costs.after(at, block)
    }
    return { rank, at }
  }
  const unitOrNone = [...units, undefined]
  const standsAfter = (unit: Unit | undefined, size: number): number | undefined =>
    unit ? through(unit, undefined).at : through(slots.gaps.slice(0, size).flat(), undefined).at
  /** The cost of a unit placed after another when so many free blocks are placed, with the fixed ones between. */
  const stepCost = new Map<number, number>()
  const cost = (last: number, unit: number, size: number): number => {
    const key = (size * (count + 1) + last) * (count + 1) + unit
    const known = stepCost.get(key)
    if (known !== undefined) return known
    const between = through(slots.gaps[size] ?? [], last === count ? undefined : standsAfter(unitOrNone[last], size))
    const value = between.rank + through(units[unit] ?? [], between.at).rank
    stepCost.set(key, value)
    return value
  }
  const mayFollow = (placed: number, unit: number): boolean => {
    if ((placed & bitOf(unit)) !== 0 || ((needs[unit] ?? 0) & ~placed) !== 0) return false
    if ((needsAny[unit] ?? []).some((mask) => (mask & placed) === 0)) return false
    return slots.isUnbroken(sizeOf[placed] ?? 0, units[unit]?.length ?? 0)
  }

  const all = 2 ** count - 1
  const columns = count + 1
  /** Least cost from here to the end, by what is placed and what came last. */
  const least = new Float64Array(2 ** count * columns).fill(Infinity)
  for (let last = 0; last < columns; last += 1) {
    const at = last === count ? undefined : standsAfter(unitOrNone[last], sizeOf[all] ?? 0)
    least[all * columns + last] = through(slots.gaps.at(-1) ?? [], at).rank
  }
  for (let placed = all - 1; placed >= 0; placed -= 1) {
    const next = units.flatMap((_, unit) => (mayFollow(placed, unit) ? [unit] : []))
    for (let last = 0; last < columns; last += 1) {
      if (last === count ? placed !== 0 : (placed & bitOf(last)) === 0) continue
      let best = Infinity
      for (const unit of next) {
        const whole = cost(last, unit, sizeOf[placed] ?? 0) + (least[(placed | bitOf(unit)) * columns + unit] ?? Infinity)
        if (whole < best) best = whole
      }
      least[placed * columns + last] = best
    }
  }

  const optimal = (placed: number, last: number): number[] =>
    units.flatMap((_, unit) =>
      mayFollow(placed, unit) &&
      cost(last, unit, sizeOf[placed] ?? 0) + (least[(placed | bitOf(unit)) * columns + unit] ?? Infinity) === least[placed * columns + last]
        ? [unit]
        : [],
    )
  /** Most blocks that keep their order on a best way on, given the last unit of those that do. */
  const stays = new Map<number, number>()
  const mostStaying = (placed: number, last: number, stayed: number): number => {
    if (placed === all) return 0
    const key = (placed * columns + last) * columns + stayed + 1
    const known = stays.get(key)
    if (known !== undefined) return known
    const best = Math.max(...optimal(placed, last).map((unit) => stayingWith(placed, unit, stayed)))
    stays.set(key, best)
    return best
  }
  const stayingWith = (placed: number, unit: number, stayed: number): number => {
    const moved = mostStaying(placed | bitOf(unit), unit, stayed)
    if (unit <= stayed) return moved
    return Math.max(moved, (units[unit]?.length ?? 0) + mostStaying(placed | bitOf(unit), unit, unit))
  }

  if (least[count] === Infinity) throw new RangeError('exactOrder: the order given breaks its own precedence')
  const best: number[] = []
  let [placed, last, stayed] = [0, count, -1]
  while (placed !== all) {
    const most = mostStaying(placed, last, stayed)
    const unit = optimal(placed, last).find((one) => stayingWith(placed, one, stayed) === most) ?? 0
    const here = placed | bitOf(unit)
    if (unit > stayed && (units[unit]?.length ?? 0) + mostStaying(here, unit, unit) === most) stayed = unit
    best.push(...(units[unit] ?? []))
    ;[placed, last] = [here, unit]
  }
  return order.map((block) => (mayMove.has(block) ? (best.shift() ?? block) : block))
}

const bitOf = (unit: number | undefined): number => (unit === undefined ? 0 : 2 ** unit)

/** The free blocks in their order, each with those that have to follow it at once. */
function unitsOf(order: readonly number[], mayMove: ReadonlySet<number>, followedBy: ReadonlyMap<number, number>): Unit[] {
  const units: number[][] = []
  order.forEach((block, at) => {
    if (!mayMove.has(block)) return
    const former = order[at - 1]
    const unit = units.at(-1)
    if (unit && former !== undefined && unit.at(-1) === former && followedBy.get(former) === block) unit.push(block)
    else units.push([block])
  })
  return units
}

/** The fixed blocks before each free place and after the last, and whether so many free places lie together. */
function slotsOf(order: readonly number[], mayMove: ReadonlySet<number>) {
  const gaps: number[][] = [[]]
  for (const block of order) {
    if (mayMove.has(block)) gaps.push([])
    else gaps.at(-1)?.push(block)
  }
  const isUnbroken = (from: number, length: number): boolean => gaps.slice(from + 1, from + length).every((gap) => gap.length === 0)
  return { gaps, isUnbroken }
}
