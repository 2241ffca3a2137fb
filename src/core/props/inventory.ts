import type { PropKind } from '#model/prop'
import type { BodyPart, FoldOp, PropTurn, SetUpItem } from '#model/set-up'
import type { StackOption, Stocked } from './find-stacks.ts'
import type { LoadCase } from './part-loads.ts'
import { partLoad } from './part-loads.ts'
import { carries, pieceOf } from './piece.ts'
import type { PropSpecs } from './piece.ts'
import { stackHeight } from './stack-height.ts'

/** How a piece of a kind can lie: folded or turned. */
export type Laying = Pick<SetUpItem, 'folds' | 'turn'>

export interface InventoryInput {
  readonly cupboard: readonly { readonly kind: PropKind; readonly count: number }[]
  readonly kinds: PropSpecs
  /** Folds to try with sheets, by name. */
  readonly folds: Readonly<Record<string, readonly FoldOp[]>>
  readonly part: BodyPart
  /** Equal piles the part has. */
  readonly piles: 1 | 2
  readonly posture: LoadCase
  readonly massKg: number
}

/** What can lie under a part for reach-a-height, and how each option is laid. */
export interface Inventory {
  readonly stocked: readonly Stocked[]
  /** By `kind:option`, as the keys of found stacks have it. */
  readonly layings: ReadonlyMap<string, Laying & { readonly kind: PropKind }>
}

/** Laid over or filled in, not built with. */
const notForStacks: ReadonlySet<PropKind> = new Set(['eyePillow', 'sandbag', 'mattress', 'ringHeadRest'])
const blockTurns: readonly PropTurn[] = ['flat', 'side', 'end']

/** Every way the props of a cupboard can lie under a part, each with its height under this body; counts are for one pile. */
export function inventoryFor({ cupboard, kinds, folds, part, piles, posture, massKg }: InventoryInput): Inventory {
  const load = partLoad(part, posture, piles)
  const layings = new Map<string, Laying & { readonly kind: PropKind }>()
  const stocked = cupboard.flatMap(({ kind, count }): Stocked[] => {
    const spec = kinds[kind]
    if (!carries(spec) || notForStacks.has(kind) || count < piles) return []
    const ways: readonly (readonly [string, Laying])[] =
      spec.shape === 'sheet'
        ? Object.entries(folds).map(([name, ops]) => [name, { folds: [...ops] }] as const)
        : spec.rank === 0 && spec.shape === 'box'
          ? blockTurns.map((turn) => [turn, { turn }] as const)
          : [['lies', {}] as const]
    const options = ways.flatMap(([opt, laying]): StackOption[] => {
      const piece = pieceOf({ id: opt, kind, ...laying }, spec)
      if (!piece.ok) return []
      const { material, layer, footprintCm2, along, across, round } = piece.value
      const under = stackHeight({
        layers: [{ material, ...layer, footprintCm2 }],
        loadKg: load.share * massKg,
        contactCm2: load.contactCm2,
      })
      if (!under.ok) return []
      layings.set(`${kind}:${opt}`, { kind, ...laying })
      return [{ opt, h: under.value.height, foot: [along, across], ...(round ? { round } : {}) }]
    })
    return [{ kind, rank: spec.rank, count: Math.floor(count / piles), options }]
  })
  return { stocked, layings }
}

/** The items of a found stack, bottom to top: equal neighbours are one item, each side its own share. */
export function itemsOfStack(
  key: string,
  { layings }: Pick<Inventory, 'layings'>,
  part: BodyPart,
  piles: 1 | 2,
  freeId: (at: number) => string,
): readonly SetUpItem[] {
  const items: SetUpItem[] = []
  let former = ''
  for (const name of key.split('|')) {
    const laying = layings.get(name)
    if (!laying) continue
    const last = items.at(-1)
    if (name === former && last) items[items.length - 1] = { ...last, count: last.count + piles }
    else
      items.push({ id: freeId(items.length), count: piles, under: part, ...laying, ...(piles === 2 ? { piles } : {}) })
    former = name
  }
  return items
}
