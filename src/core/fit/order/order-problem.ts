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
  /**
   * How many places people can be in between units: that of each unit, none (`units.length`), and those of fixed blocks
   * that a unit may leave them in, as a movement that is done on the chair they sit on.
   */
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
  const nowhere = units.length
  const taken = gaps.flat().filter((block) => units.some((unit) => through(unit, block).at === block))
  /** The block whose place each is; where people come from nowhere, none. */
  const blocks = [...units.map((unit) => through(unit, undefined).at), undefined, ...taken]
  const placeOf = new Map(blocks.map((block, place) => [block, place] as const))
  const endsAt = through(gaps.flat(), undefined).at

  /** By number of blocks placed, place and unit: they are asked for again and again. */
  const ranks = new Float64Array(gaps.length * blocks.length * nowhere).fill(-1)
  const nexts = new Uint8Array(ranks.length)
  const known = (placed: Placed, place: number, unit: number): number => {
    const size = sizes[placed] ?? 0
    const key = (size * blocks.length + place) * nowhere + unit
    if ((ranks[key] ?? -1) >= 0) return key
    const between = through(gaps[size] ?? [], blocks[place])
    const after = through(units[unit] ?? [], between.at)
    ranks[key] = between.rank + after.rank
    nexts[key] = placeOf.get(after.at) ?? unit
    return key
  }
  const rules = rulesOf(units, precedence)
  const isUnbroken = (from: number, length: number) =>
    gaps.slice(from + 1, from + length).every((gap) => gap.length === 0)
  return {
    units,
    places: blocks.length,
    cost: (placed, place, unit) => ranks[known(placed, place, unit)] ?? Infinity,
    next: (placed, place, unit) => nexts[known(placed, place, unit)] ?? unit,
    mayFollow: (placed, unit) =>
      rules(placed, unit) &&
      ((units[unit]?.length ?? 0) < 2 || isUnbroken(sizes[placed] ?? 0, units[unit]?.length ?? 0)),
    endCost: (place) => through(gaps.at(-1) ?? [], place === nowhere ? endsAt : blocks[place]).rank,
  }
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
