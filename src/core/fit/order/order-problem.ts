import { rankOf } from './order-costs.ts'
import type { OrderCosts } from './order-costs.ts'
import type { Precedence } from './precedence.ts'

/** Blocks that move together: one, or one with the counterposes that follow it at once. */
type Unit = readonly number[]

/** A set of units as bits. */
export type Placed = number

/** The search for an order: units to be placed one after the other, among the blocks that stay where they are. */
export interface OrderProblem {
  readonly units: readonly Unit[]
  /** Whether a unit may come next when these are placed. */
  readonly mayFollow: (placed: Placed, unit: number) => boolean
  /** In how many ways people can be, and things lie, between units; the first, 0, is the start. */
  readonly places: number
  /** Rank of the cost of a unit from a place, fixed blocks before it included. */
  readonly cost: (placed: Placed, place: number, unit: number) => number
  /** The place people are in after it. */
  readonly next: (placed: Placed, place: number, unit: number) => number
  /** Rank of the cost of the fixed blocks after the last unit. */
  readonly endCost: (place: number) => number
}

export const bitOf = (unit: number): Placed => 2 ** unit

/** The problem of bringing those blocks of `order` that may move into another order among their own places. */
export function orderProblem(
  order: readonly number[],
  mayMove: ReadonlySet<number>,
  precedence: Precedence,
  costs: OrderCosts,
): OrderProblem {
  const units = unitsOf(order, mayMove, precedence.followedBy)
  const gaps = gapsOf(order, mayMove)
  const sizes = sizesOf(units)
  const through = walkOf(costs)
  const stands = standsOf(units, gaps, through)
  const placeOf = new Map(stands.map((stand, place) => [stand, place] as const))

  /** By number of blocks placed, place and unit: they are asked for again and again. */
  const ranks = new Float64Array(gaps.length * stands.length * units.length).fill(-1)
  const nexts = new Uint16Array(ranks.length)
  const known = (placed: Placed, place: number, unit: number): number => {
    const size = sizes[placed] ?? 0
    const key = (size * stands.length + place) * units.length + unit
    if ((ranks[key] ?? -1) >= 0) return key
    const between = through(gaps[size] ?? [], stands[place])
    const after = through(units[unit] ?? [], between.at)
    ranks[key] = between.rank + after.rank
    nexts[key] = placeOf.get(after.at) ?? 0
    return key
  }
  const rules = rulesOf(units, precedence)
  const isUnbroken = (from: number, length: number) =>
    gaps.slice(from + 1, from + length).every((gap) => gap.length === 0)
  return {
    units,
    places: stands.length,
    cost: (placed, place, unit) => ranks[known(placed, place, unit)] ?? Infinity,
    next: (placed, place, unit) => nexts[known(placed, place, unit)] ?? 0,
    mayFollow: (placed, unit) =>
      rules(placed, unit) &&
      ((units[unit]?.length ?? 0) < 2 || isUnbroken(sizes[placed] ?? 0, units[unit]?.length ?? 0)),
    endCost: (place) => through(gaps.at(-1) ?? [], stands[place]).rank,
  }
}

/** Where people can be and what can lie there between units: from the start, after any of them, again and again. */
function standsOf(
  units: readonly Unit[],
  gaps: readonly (readonly number[])[],
  through: ReturnType<typeof walkOf>,
): (number | undefined)[] {
  const stands: (number | undefined)[] = [undefined]
  const found = new Set(stands)
  for (const stand of stands)
    for (const gap of gaps)
      for (const unit of units) {
        const { at } = through(unit, through(gap, stand).at)
        if (found.has(at)) continue
        found.add(at)
        stands.push(at)
      }
  return stands
}

/** The free blocks in their order, each with those that have to follow it at once. */
function unitsOf(
  order: readonly number[],
  mayMove: ReadonlySet<number>,
  followedBy: ReadonlyMap<number, number>,
): Unit[] {
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

/** The fixed blocks before each free place, and after the last. */
function gapsOf(order: readonly number[], mayMove: ReadonlySet<number>): number[][] {
  const gaps: number[][] = [[]]
  for (const block of order) {
    if (mayMove.has(block)) gaps.push([])
    else gaps.at(-1)?.push(block)
  }
  return gaps
}

/** How many blocks each set of units has. */
function sizesOf(units: readonly Unit[]): Uint8Array {
  const sizes = new Uint8Array(2 ** units.length)
  for (let placed = 1; placed < sizes.length; placed += 1) {
    const lowest = 31 - Math.clz32(placed & -placed)
    sizes[placed] = (sizes[placed & (placed - 1)] ?? 0) + (units[lowest]?.length ?? 0)
  }
  return sizes
}

/** Blocks one after the other from where people are: the rank of their cost, and where people are then. */
const walkOf = (costs: OrderCosts) => (blocks: readonly number[], from: number | undefined) => {
  let [rank, at] = [0, from]
  for (const block of blocks) {
    rank += rankOf(costs.of(at, block))
    at = costs.after(at, block)
  }
  return { rank, at }
}

/** Precedence as bits: what has to be placed before a unit. What does not move here stands where it stood. */
function rulesOf(units: readonly Unit[], { before }: Precedence): (placed: Placed, unit: number) => boolean {
  const unitOf = new Map(units.flatMap((unit, at) => unit.map((block) => [block, at] as const)))
  const maskOf = (blocks: readonly number[]): Placed =>
    blocks.reduce((mask, block) => {
      const unit = unitOf.get(block)
      return unit === undefined ? mask : mask | bitOf(unit)
    }, 0)
  const needs = units.map((unit, at) => maskOf(unit.flatMap((block) => before[block] ?? [])) & ~bitOf(at))
  return (placed, unit) => (placed & bitOf(unit)) === 0 && ((needs[unit] ?? 0) & ~placed) === 0
}
