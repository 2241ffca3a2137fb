import type { Milliseconds } from '#core/units'
import { aheadIn, endWith, leavingOut } from './ahead.ts'
import type { Rest } from './ahead.ts'
import { finalRestBy } from './holds.ts'
import type { Tried } from './ways.ts'

/** More poses than this at once are found one after the other. */
const mostTogether = 2

interface Found {
  readonly out: ReadonlySet<number>
  readonly lengths: readonly Milliseconds[]
  readonly endsMs: Milliseconds
  /** What is lost: by weight, then in seconds held. */
  readonly weight: number
  readonly heldS: number
}

/**
 * The fewest poses that are left out to come to an end, of those the least lost by weight, then by minutes, as in the fits;
 * a counterpose goes with what it counters. What is over goes to the final rest. Undefined where none do.
 */
export function fewestOut(rest: Rest, from: Tried, endMs: Milliseconds): Tried | undefined {
  const may = posesThatMayGo(rest, from)
  const leaves = new Set(from.leaves)
  const found = search(rest, may, endMs, leaves)
  if (!found) return undefined
  const out = [...found.out].map((at) => rest.blocks[at]?.id ?? '')
  const tried: Tried = { lengths: found.lengths, leaves: [...from.leaves, ...out], changed: [] }
  return finalRestBy(rest, tried, endMs - found.endsMs)
}

/** The poses each of which is enough to be left out, with what counters it, to come to an end; by their ids. */
export function singlesThatDo(rest: Rest, from: Tried, endMs: Milliseconds): readonly string[] {
  const leaves = new Set(from.leaves)
  return posesThatMayGo(rest, from)
    .filter((at) => leftOut(rest, [at], leaves).endsMs <= endMs)
    .map((at) => rest.blocks[at]?.id ?? '')
}

/** Places of poses ahead that may go by themselves: whatever must not stay, and counters nothing that stays. */
function posesThatMayGo(rest: Rest, { leaves }: Tried): readonly number[] {
  const ahead = new Set(aheadIn(rest, new Set(leaves)).map(({ id }) => id))
  return rest.book.blocks.flatMap(({ index, must, counters, mayLeave, heldS }) => {
    const id = rest.blocks[index]?.id ?? ''
    const isBound = counters !== undefined && !mayLeave && !leaves.includes(rest.blocks[counters]?.id ?? '')
    return ahead.has(id) && heldS > 0 && !must && !isBound ? [index] : []
  })
}

function search(
  rest: Rest,
  may: readonly number[],
  endMs: Milliseconds,
  leaves: ReadonlySet<string>,
): Found | undefined {
  let so: readonly number[] = []
  for (let many = 1; many <= may.length; many += 1) {
    const combinations: readonly (readonly number[])[] =
      many <= mostTogether ? combined(may, many) : may.filter((at) => !so.includes(at)).map((at) => [...so, at])
    const all = combinations.map((roots) => ({ roots, found: leftOut(rest, roots, leaves) }))
    const fitting = all.filter(({ found }) => found.endsMs <= endMs).sort((a, b) => better(a.found, b.found))
    if (fitting[0]) return fitting[0].found
    // Nothing fits yet: what gains most is gone on from.
    so = all.sort((a, b) => a.found.endsMs - b.found.endsMs)[0]?.roots ?? []
  }
  return undefined
}

const combined = (may: readonly number[], many: number): readonly (readonly number[])[] =>
  many === 1 ? may.map((at) => [at]) : may.flatMap((at, nth) => may.slice(nth + 1).map((other) => [at, other]))

const better = (a: Found, b: Found): number => a.weight - b.weight || a.heldS - b.heldS || b.endsMs - a.endsMs

function leftOut(rest: Rest, roots: readonly number[], before: ReadonlySet<string>): Found {
  const out = withCounters(rest, roots)
  const lengths = leavingOut(rest, new Set([...before, ...[...out].map((at) => rest.blocks[at]?.id ?? '')]))
  const sum = (of: 'weight' | 'heldS'): number =>
    [...out].reduce((all, at) => all + (rest.book.blocks[at]?.[of] ?? 0), 0)
  return { out, lengths, endsMs: endWith(rest, lengths), weight: sum('weight'), heldS: sum('heldS') }
}

/** Some blocks, and those that are there to counter one of them and need not stay. */
export function withCounters({ book }: Pick<Rest, 'book'>, roots: readonly number[]): ReadonlySet<number> {
  const out = new Set(roots)
  for (const { index, counters, must } of book.blocks)
    if (counters !== undefined && out.has(counters) && !must) out.add(index)
  return out
}
