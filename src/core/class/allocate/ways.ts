import type { PropKind } from '#model/prop'
import type { SetUpItem } from '#model/set-up'
import type { HouseThing, Substitute } from '#model/substitute'

/** How a person comes by a set-up for a pose, from their own down to none [handling book 3; settled C11]. */
export type WayOfSetUp = 'setUp' | 'substitutes' | 'few' | 'household' | 'none'

/** So many pieces of a kind that are replaced, and by what. */
export interface Replaced {
  readonly kind: PropKind
  readonly by: PropKind | HouseThing | 'nothing'
  readonly n: number
}

/** One way for one pose: what it takes and what is lost by it. */
export interface Way {
  readonly way: WayOfSetUp
  readonly replaced: readonly Replaced[]
  readonly penalty: number
  readonly items: readonly SetUpItem[]
  readonly uses: Uses
}
export type Uses = ReadonlyMap<PropKind, number>
/** How many there are of each kind; none of a kind that is not named. */
export type Stock = Readonly<Partial<Record<PropKind, number>>>

/** The set-ups a person may have for a pose. */
export interface SetUpsOf {
  readonly own: readonly SetUpItem[]
  readonly few?: readonly SetUpItem[] | undefined
  readonly household?: readonly SetUpItem[] | undefined
}

/** What is lost by a set-up of another extent, and by none [handling book 3]. */
const penalties = { few: 2, household: 3, none: 6 } as const

/** Where people go, or lie all along: nothing that is dealt out [settled C12, A17]. */
const notDealt: ReadonlySet<PropKind> = new Set(['wall', 'door', 'mat'])

export function usesOf(items: readonly Pick<SetUpItem, 'kind' | 'count'>[]): Uses {
  const uses = new Map<PropKind, number>()
  for (const { kind, count } of items) if (!notDealt.has(kind)) uses.set(kind, (uses.get(kind) ?? 0) + count)
  return uses
}

/**
 * The ways for a pose, one's own set-up first, then by what is lost. Only pieces of the `scarce` kinds are replaced. For
 * whom a condition asks for a prop there, `wants` is not empty: nothing below substitutes, and no such prop left out.
 * Of a `stock` no way with substitutes takes more of a kind than there is of it; without one there is enough of all.
 */
export function waysFor(
  { own, few, household }: SetUpsOf,
  {
    wants = [],
    scarce,
    substitutes,
    stock,
  }: {
    readonly wants?: readonly PropKind[] | undefined
    readonly scarce: ReadonlySet<PropKind>
    readonly substitutes: readonly Substitute[]
    readonly stock?: Stock
  },
): readonly Way[] {
  const table = substitutes.filter(({ kind, by }) => scarce.has(kind) && !(by === 'nothing' && wants.includes(kind)))
  const plain = (way: WayOfSetUp, items: readonly SetUpItem[], penalty: number): Way => ({
    ...{ way, replaced: [], penalty, items },
    uses: usesOf(items),
  })
  const lesser =
    wants.length > 0
      ? []
      : [
          ...(few ? [plain('few', few, penalties.few)] : []),
          ...(household ? [plain('household', household, penalties.household)] : []),
          ...(own.length > 0 ? [plain('none', [], penalties.none)] : []),
        ]
  const all = [plain('setUp', own, 0), ...substituted(own, table, stock), ...lesser]
  return all.sort((a, b) => Number(a.way !== 'setUp') - Number(b.way !== 'setUp') || a.penalty - b.penalty)
}

/** The set-up with pieces replaced, in every way that takes something else; of those that take the same the least lost. */
function substituted(
  own: readonly SetUpItem[],
  table: readonly Substitute[],
  stock: Stock | undefined,
): readonly Way[] {
  const isThere = (uses: Uses): boolean => !stock || [...uses].every(([kind, n]) => n <= (stock[kind] ?? 0))
  let ways: readonly Way[] = [{ way: 'substitutes', replaced: [], penalty: 0, items: [], uses: new Map() }]
  for (const item of own) {
    const splits = splitsOf(item.count, item.piles ?? 1, rowsFor(item, own, table))
    const next = new Map<string, Way>()
    for (const one of ways)
      for (const split of splits) {
        const way = joined(one, item, split)
        // The items that follow take nothing back: what is too much by now stays so.
        if (!isThere(way.uses)) continue
        const key = usesText(way.uses)
        const there = next.get(key)
        if (!there || way.penalty < there.penalty) next.set(key, way)
      }
    ways = [...next.values()]
  }
  return ways.filter(({ replaced }) => replaced.length > 0)
}

export const usesText = (uses: Uses): string =>
  [...uses]
    .filter(([, n]) => n > 0)
    .map(([kind, n]) => `${kind} ${String(n)}`)
    .sort()
    .join(', ')

/** What may stand in for pieces of an item where it lies. */
function rowsFor(item: SetUpItem, own: readonly SetUpItem[], table: readonly Substitute[]): readonly Substitute[] {
  const beside = own.filter(({ under, lies }) => under === item.under && lies === undefined)
  const at = beside.indexOf(item)
  const isUnder = item.lies === undefined
  const onBlock = isUnder && beside.slice(0, at).some(({ kind }) => kind === 'foamBlock' || kind === 'corkBlock')
  const underBolster = isUnder && beside.slice(at + 1).some(({ kind }) => kind.endsWith('Bolster'))
  return table.filter(
    (row) =>
      row.kind === item.kind &&
      (!row.at || (item.under !== undefined && row.at.includes(item.under))) &&
      (!row.lies || row.lies.includes(item.lies ?? 'under')) &&
      (row.only !== 'underBolster' || underBolster) &&
      (row.unless !== 'onBlock' || !onBlock),
  )
}

interface Split {
  /** Pieces that stay. */
  readonly kept: number
  readonly parts: readonly { readonly row: Substitute; readonly n: number }[]
}

/** Every way to keep some of so many pieces and to replace the others; what lies in two piles is replaced in both. */
function splitsOf(pieces: number, piles: number, rows: readonly Substitute[]): readonly Split[] {
  const [row, ...others] = rows
  if (!row) return [{ kept: pieces, parts: [] }]
  return Array.from({ length: Math.floor(pieces / piles) + 1 }, (_, at) => at * piles).flatMap((n) =>
    splitsOf(pieces - n, piles, others).map(({ kept, parts }) => ({
      kept,
      parts: n > 0 ? [{ row, n }, ...parts] : parts,
    })),
  )
}

/** A way with one item more, split so. */
function joined(way: Way, item: SetUpItem, { kept, parts }: Split): Way {
  const stays = kept === 0 ? [] : [kept === item.count ? item : { ...item, count: kept }]
  const items = [...stays, ...parts.flatMap(({ row, n }) => standsIn(item, row, n))]
  return {
    ...way,
    items: [...way.items, ...items],
    replaced: parts.reduce(withReplaced, way.replaced),
    penalty: way.penalty + parts.reduce((sum, { row, n }) => sum + row.penalty * n, 0),
    uses: usesOf([...way.items, ...items]),
  }
}

function withReplaced(
  replaced: readonly Replaced[],
  { row: { kind, by }, n }: Split['parts'][number],
): readonly Replaced[] {
  const there = replaced.find((one) => one.kind === kind && one.by === by)
  return there
    ? replaced.map((one) => (one === there ? { ...one, n: one.n + n } : one))
    : [...replaced, { kind, by, n }]
}

const isKind = (by: Replaced['by']): by is PropKind => by !== 'nothing' && by !== 'coat' && by !== 'riceBag'

/** What lies where some pieces lay; what no cupboard counts is not among a set-up's items. */
function standsIn(item: SetUpItem, { by, n: each, folds, turn }: Substitute, n: number): readonly SetUpItem[] {
  if (!isKind(by)) return []
  const { piles, under, lies } = item
  return [
    {
      id: `${item.id}-${by}`.slice(-64),
      kind: by,
      count: n * each,
      ...(under === undefined ? {} : { under }),
      ...(folds ? { folds: [...folds] } : {}),
      ...(turn === undefined ? {} : { turn }),
      ...(piles === undefined ? {} : { piles }),
      ...(lies === undefined ? {} : { lies }),
    },
  ]
}
