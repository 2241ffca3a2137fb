import type { PropKind } from '#model/prop'
import type { Milliseconds } from '#core/units'
import { piecesByKind } from './laid.ts'
import type { Laid } from './laid.ts'

/** One kind over a class: how many lie there at once, and how many are fetched from the cupboard. */
export interface LedgerRow {
  readonly kind: PropKind
  /** The most in use at once. */
  readonly atOnce: number
  /** The block in which that is first so; absent for a mat, which lies there all along. */
  readonly blockId?: string
  /** Of all people; 0 for what stands ready where it is used. */
  readonly fetched: number
  /** In use from stretch to stretch, in their order. */
  readonly over: readonly {
    readonly blockId: string
    readonly startMs: Milliseconds
    readonly endMs: Milliseconds
    readonly n: number
  }[]
}

export interface LedgerInput {
  /** What lies at the mats: one list for people who do alike, with how many they are. */
  readonly people: readonly { readonly count: number; readonly laid: readonly Laid[] }[]
}

/** What stands ready where it is used, and is on nobody's way to the cupboard [settled C12]. */
export const standsReady: ReadonlySet<PropKind> = new Set(['chair', 'mat'])

/**
 * What a class takes by kind over time [handling book 3; settled C12]: in use at once over all people, and fetched, each
 * person as many of a kind as they use at once. Kinds in the order in which they are first laid, mats last.
 */
export function ledger({ people }: LedgerInput): readonly LedgerRow[] {
  const count = people.reduce((sum, one) => sum + one.count, 0)
  const kinds = [...new Set(people.flatMap(({ laid }) => laid.flatMap(({ items }) => [...piecesByKind(items).keys()])))]
  const rows = kinds.filter((kind) => kind !== 'mat').map((kind) => rowOf(kind, people))
  return count === 0 ? [] : [...rows, { kind: 'mat', atOnce: count, fetched: 0, over: [] }]
}

function rowOf(kind: PropKind, people: LedgerInput['people']): LedgerRow {
  const cuts = [...new Set(people.flatMap(({ laid }) => laid.flatMap(({ startMs, endMs }) => [startMs, endMs])))].sort(
    (a, b) => a - b,
  )
  const over = cuts.slice(0, -1).flatMap((startMs, at) => {
    const there = people.flatMap(({ count, laid }) =>
      laid
        .filter((one) => one.startMs <= startMs && startMs < one.endMs)
        .map(({ blockId, items }) => ({ blockId, n: count * (piecesByKind(items).get(kind) ?? 0) })),
    )
    const [first] = there
    if (!first) return []
    return [
      { blockId: first.blockId, startMs, endMs: cuts[at + 1] ?? startMs, n: there.reduce((sum, { n }) => sum + n, 0) },
    ]
  })
  const atOnce = Math.max(0, ...over.map(({ n }) => n))
  const blockId = over.find(({ n }) => n === atOnce)?.blockId
  const fetched = standsReady.has(kind)
    ? 0
    : people.reduce((sum, { count, laid }) => sum + count * mostAtOnce(kind, laid), 0)
  return { kind, atOnce, ...(blockId === undefined ? {} : { blockId }), fetched, over }
}

/** The most of a kind one person uses at once. */
export const mostAtOnce = (kind: PropKind, laid: readonly Laid[]): number =>
  Math.max(0, ...laid.map(({ items }) => piecesByKind(items).get(kind) ?? 0))
