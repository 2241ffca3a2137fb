import { keysOf } from '#core/units'
import type { Block } from '#model/block'
import type { Session } from '#model/session'
import { isSame } from './is-same.ts'

/** One difference between two states of a session, with what a sentence about it needs. */
export type Difference =
  | { readonly kind: 'detail'; readonly detail: keyof Session; readonly before: unknown; readonly after: unknown }
  | { readonly kind: 'added' | 'dropped'; readonly block: Block }
  | { readonly kind: 'changed'; readonly before: Block; readonly after: Block }
  | { readonly kind: 'moved'; readonly block: Block; readonly from: number; readonly to: number }

const quiet: ReadonlySet<string> = new Set(['schema', 'id', 'blocks', 'setAside', 'versionOf', 'nextTime'])

/**
 * What differs between two states of a session: details, then blocks in the order they stand in now, then
 * those that are gone. A block is the same by its id; only those count as moved that left the order the
 * others keep (the fewest that explain it).
 */
export function compareSessions(before: Session, after: Session): Difference[] {
  const details = [...new Set([...keysOf<keyof Session>(before), ...keysOf<keyof Session>(after)])]
    .filter((detail) => !quiet.has(detail) && !isSame(before[detail], after[detail]))
    .map((detail): Difference => ({ kind: 'detail', detail, before: before[detail], after: after[detail] }))
  const then = new Map(before.blocks.map((block, at) => [block.id, { block, at }]))
  const now = new Set(after.blocks.map(({ id }) => id))
  const kept = after.blocks.flatMap(({ id }) => then.get(id)?.at ?? [])
  const inOrder = new Set(longestRise(kept))
  const blocks = after.blocks.flatMap((block, to): Difference[] => {
    const former = then.get(block.id)
    if (!former) return [{ kind: 'added', block }]
    return [
      ...(isSame(former.block, block) ? [] : [{ kind: 'changed', before: former.block, after: block } as const]),
      ...(inOrder.has(former.at) ? [] : [{ kind: 'moved', block, from: former.at, to } as const]),
    ]
  })
  const dropped = before.blocks
    .filter(({ id }) => !now.has(id))
    .map((block): Difference => ({ kind: 'dropped', block }))
  return [...details, ...blocks, ...dropped]
}

/** The longest run of numbers that rise, not necessarily next to each other: what kept its order. */
function longestRise(numbers: readonly number[]): number[] {
  const best: number[][] = []
  for (const [at, value] of numbers.entries()) {
    const before = best.filter((_, index) => (numbers[index] ?? 0) < value)
    const longest = before.reduce<number[]>((a, b) => (b.length > a.length ? b : a), [])
    best[at] = [...longest, value]
  }
  return best.reduce<number[]>((a, b) => (b.length > a.length ? b : a), [])
}
