import type { Seconds } from '#core/units'
import type { OrderCosts } from './order-costs.ts'

/**
 * Seconds of changes that no order of these blocks can go below. Every block but the first is come to from
 * some other, at best from its cheapest; blocks that cost nothing among themselves form a group, and each
 * group but the first has to be come to from outside once.
 */
export function leastChangeS(blocks: readonly number[], costs: OrderCosts): Seconds {
  const standing = blocks.filter((block) => costs.isCome(block))
  const comeTo = standing.map((block) => {
    const from = standing
      .filter((other) => other !== block)
      .map((other) => ({ other, s: costs.leastInto(block, other) }))
    return { block, first: costs.of(undefined, block).changeS, inS: Math.min(...from.map(({ s }) => s)), from }
  })
  if (comeTo.length < 2) return comeTo.reduce((sum, { first }) => sum + first, 0)
  const groups = groupsOf(standing, costs)
  const groupOf = new Map(groups.flatMap((group, at) => group.map((block) => [block, at] as const)))
  const extra = groups.map((group, at) => {
    const outside = comeTo
      .filter(({ block }) => group.includes(block))
      .map(
        ({ inS, from }) => Math.min(...from.filter(({ other }) => groupOf.get(other) !== at).map(({ s }) => s)) - inS,
      )
    return groups.length === 1 ? 0 : Math.min(...outside)
  })
  const whole = comeTo.reduce((sum, { inS }) => sum + inS, 0) + extra.reduce((sum, s) => sum + s, 0)
  const savedByFirst = comeTo.map(({ block, first, inS }) => inS + (extra[groupOf.get(block) ?? -1] ?? 0) - first)
  return Math.max(0, whole - Math.max(...savedByFirst))
}

/** Blocks between which some change costs nothing, chained together. */
function groupsOf(blocks: readonly number[], costs: OrderCosts): number[][] {
  const groups: number[][] = []
  for (const block of blocks) {
    const touching = groups.filter((group) =>
      group.some((other) => costs.leastInto(block, other) === 0 || costs.leastInto(other, block) === 0),
    )
    const joined = [...touching.flat(), block]
    for (const group of touching) groups.splice(groups.indexOf(group), 1)
    groups.push(joined)
  }
  return groups
}
