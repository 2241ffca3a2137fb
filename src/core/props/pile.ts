import { refused } from '#core/result'
import type { BodyPart, PlacedItem, SetUpItem } from '#model/set-up'
import { calculated } from './calculated.ts'
import type { Calculated } from './calculated.ts'
import { partLoad } from './part-loads.ts'
import type { LoadCase } from './part-loads.ts'
import { carries, pieceOf } from './piece.ts'
import type { Piece, PropSpecs } from './piece.ts'
import { stackHeight } from './stack-height.ts'
import type { Material } from './stack-height.ts'

/** A piece in its pile, with its height under the body. */
export interface LoadedPiece extends Piece {
  readonly loaded: number
}

/** What lies under one part, from the floor up; one of `piles` equal ones. */
export interface Pile {
  readonly part: BodyPart
  readonly piles: 1 | 2
  readonly pieces: readonly LoadedPiece[]
  /** Loaded height of the whole pile, cm. */
  readonly height: number
  readonly loadKg: number
  readonly contactCm2: number
}

export interface PilesInput {
  readonly items: readonly SetUpItem[]
  readonly kinds: PropSpecs
  readonly massKg: number
  readonly posture: LoadCase
  readonly own?: Readonly<Record<string, Material>>
}

/** Mass where nobody weighed: 24.2 kg/m², 70 kg at 170 cm [estimate]. */
export const usualMassKg = (statureCm: number): number => 24.2 * (statureCm / 100) ** 2

/** Whether an item has its place at the body; one that was only listed is fetched and counted, not drawn. */
export const isPlaced = (item: SetUpItem): item is PlacedItem => item.under !== undefined

/** Whether an item carries something: placed, not laid over or round the body, and of a kind with a height. */
export const isUnder = (item: SetUpItem, kinds: PropSpecs): item is PlacedItem =>
  isPlaced(item) && item.lies === undefined && carries(kinds[item.kind])

/**
 * The piles of a set-up under the body's parts, in the order the parts are first named, each with its height under the
 * body. A refusal names the item (`items[i]…`). Two equal piles and one under the same part are told apart.
 */
export function pilesOf({ items, kinds, massKg, posture, own }: PilesInput): Calculated<readonly Pile[]> {
  const warnings: string[] = []
  const groups = new Map<string, { part: BodyPart; piles: 1 | 2; pieces: Piece[] }>()
  for (const [at, item] of items.entries()) {
    if (!isUnder(item, kinds)) continue
    const piles = item.piles === 2 ? 2 : 1
    const piece = pieceOf(item, kinds[item.kind])
    if (!piece.ok) return refused(piece.code, `items[${String(at)}].${piece.field}`, { itemId: item.id })
    warnings.push(...piece.warnings)
    const key = `${item.under} ${String(piles)}`
    const group = groups.get(key) ?? { part: item.under, piles, pieces: [] }
    group.pieces.push(...Array.from({ length: item.count / piles }, () => piece.value))
    groups.set(key, group)
  }
  const piles: Pile[] = []
  for (const { part, piles: count, pieces } of groups.values()) {
    const { share, contactCm2 } = partLoad(part, posture, count)
    const loadKg = share * massKg
    const heights = stackHeight({
      layers: pieces.map(({ material, layer, footprintCm2 }) => ({ material, ...layer, footprintCm2 })),
      loadKg,
      contactCm2,
      ...(own ? { own } : {}),
    })
    if (!heights.ok) return heights
    const loaded = pieces.map((piece, at) => ({ ...piece, loaded: heights.value.parts[at] ?? 0 }))
    piles.push({ part, piles: count, pieces: loaded, height: heights.value.height, loadKg, contactCm2 })
  }
  return calculated(piles, warnings)
}
