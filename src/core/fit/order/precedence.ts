import type { Resolved } from '#core/session'
import { counterLinks } from '../counterposes.ts'

/** What an order has to keep, by places in the plan. Only what holds in the plan as it stands is kept. */
export interface Precedence {
  /** Blocks that stay at their place. */
  readonly isFixed: (block: number) => boolean
  /** For each block, those that have to stand before it. */
  readonly before: readonly (readonly number[])[]
  /** For each block, the one that has to follow at once: its counterpose. */
  readonly followedBy: ReadonlyMap<number, number>
}

const ranks = { opening: 0, warm: 1, deep: 2, closing: 3 } as const

/** Talk, breath work, rests and the closing stay where they are; holds and movements may move. */
const isFree = ({ kind }: Resolved): boolean => kind === 'hold' || kind === 'movement'

/** The rules of a session's order: opening first, warm before deep, a counterpose after, closing last. */
export function precedenceOf(blocks: readonly Resolved[]): Precedence {
  const free = blocks.flatMap((block, at) => (isFree(block) ? [at] : []))
  const links = counterLinks(blocks)
  const [first, last] = [free[0], free.at(-1)]
  const before = blocks.map((block, at) => {
    const others = free.slice(0, Math.max(0, free.indexOf(at)))
    const ranked = others.filter((other) => comesBefore(blocks[other], block))
    const countered = links.filter(({ by }) => by === at).map(({ of }) => of)
    const opening =
      first !== undefined && canBe(blocks[first], 'opening') && free.includes(at) && at !== first ? [first] : []
    const allOthers = last !== undefined && at === last && canBe(block, 'closing') ? others : []
    const warmers = free.includes(at) ? firstWarmers(block, at, blocks) : []
    return [...new Set([...ranked, ...countered, ...opening, ...allOthers, ...warmers])]
  })
  return {
    isFixed: (at) => !free.includes(at),
    before,
    followedBy: new Map(links.filter(({ of, by }) => by === of + 1).map(({ of, by }) => [of, by])),
  }
}

const canBe = (block: Resolved | undefined, place: 'opening' | 'closing'): boolean =>
  block?.kind === 'hold' && block.pose.places.includes(place)

/** Where in a session a block can stand: a movement warms. */
function rankRange(block: Resolved | undefined): { from: number; to: number } | undefined {
  if (block?.kind === 'movement') return { from: ranks.opening, to: ranks.warm }
  if (block?.kind !== 'hold') return undefined
  const possible = block.pose.places.flatMap((place) => (place === 'counter' ? [] : [ranks[place]]))
  return possible.length === 0 ? undefined : { from: Math.min(...possible), to: Math.max(...possible) }
}

function comesBefore(one: Resolved | undefined, other: Resolved): boolean {
  const [a, b] = [rankRange(one), rankRange(other)]
  return a !== undefined && b !== undefined && a.to < b.from
}

/** For each area a pose wants warm, the first block before it in the plan that warms it. */
function firstWarmers(block: Resolved, at: number, blocks: readonly Resolved[]): number[] {
  if (block.kind !== 'hold') return []
  return block.pose.wantsWarm
    .map((target) => blocks.findIndex((other, place) => place < at && warms(other).includes(target)))
    .filter((place) => place >= 0)
}

function warms(block: Resolved) {
  if (block.kind === 'hold') return block.pose.warms
  return block.kind === 'movement' ? block.movement.targets : []
}
