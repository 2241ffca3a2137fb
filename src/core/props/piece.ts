import { mapRecord } from '#core/units'
import type { PropKind, PropSpec } from '#model/prop'
import type { FoldOp as StoredFold, SetUpItem } from '#model/set-up'
import { calculated } from './calculated.ts'
import type { Calculated } from './calculated.ts'
import { fold } from './fold.ts'
import type { FoldOp } from './fold.ts'

export type PropSpecs = Readonly<Record<PropKind, PropSpec>>

/** A prop as it lies: its extents along and across the body and its unloaded height, in cm. */
export interface Piece {
  readonly itemId: string
  readonly kind: PropKind
  readonly along: number
  readonly across: number
  readonly height: number
  /** A roll or a cylinder that shows its round end from the side. */
  readonly roundSeen: boolean
  /** Round whichever way it lies: nothing firm stands on it. */
  readonly round: boolean
  readonly material: string
  readonly rank: 0 | 1 | 2
  /** What the heights are computed from: one layer and how many. */
  readonly layer: { readonly t: number; readonly n: number }
  readonly footprintCm2: number
  /** How steeply it leans by itself, degrees: the back of an upturned chair. */
  readonly leanDeg?: number
}

/** Whether it is a seat on its feet, of which only the seat carries. */
export const isSeat = ({ kind, leanDeg }: Pick<Piece, 'kind' | 'leanDeg'>): boolean =>
  leanDeg === undefined && (kind === 'chair' || kind === 'sofa')

/** An upturned chair stands on the top of its back and its seat's edge: back and legs lean so, cm and degrees [settled A17; lengths estimated]. */
const upturnedChair = { along: 80, across: 40, height: 3, leanDeg: 45 } as const

/** From this length on a support carries a trunk along it, or a knee and its shin, cm [estimate]. */
const longEnough = 40

/** Whether a piece is long enough along the body to carry more than the part it lies under. */
export const isLong = ({ along }: Pick<Piece, 'along'>): boolean => along >= longEnough

/** Whether it is long, and lies lengthwise. */
export const isLengthwise = (piece: Pick<Piece, 'along' | 'across'>): boolean =>
  isLong(piece) && piece.along >= piece.across

/** A cupboard's own size of a kind, in whole millimetres. */
export type OwnSizes = Readonly<
  Partial<
    Record<
      PropKind,
      {
        readonly length?: number | undefined
        readonly width?: number | undefined
        readonly height?: number | undefined
      }
    >
  >
>

/** The kinds with the sizes that were measured in place of the usual ones. */
export function sizedKinds(kinds: PropSpecs, own: OwnSizes): PropSpecs {
  return mapRecord(kinds, (spec): PropSpec => {
    const size = own[spec.kind]
    if (!size) return spec
    const thickness = size.height === undefined ? 1 : size.height / 10 / spec.heightCm
    return {
      ...spec,
      lengthCm: size.length === undefined ? spec.lengthCm : size.length / 10,
      widthCm: size.width === undefined ? spec.widthCm : size.width / 10,
      heightCm: spec.heightCm * thickness,
      // A thicker sheet stays thicker in the same proportion when someone lies on it.
      ...(spec.loadedCm === undefined ? {} : { loadedCm: spec.loadedCm * thickness }),
    }
  })
}

/** Whether a kind has a height to lie on. */
export const carries = ({ shape }: PropSpec): boolean => shape !== 'none' && shape !== 'wall'

const inCm = (op: StoredFold): FoldOp => {
  if (op.op !== 'rollL' && op.op !== 'rollW') return op
  const { coreMm, ...rest } = op
  return coreMm === undefined ? rest : { ...rest, core: coreMm / 10 }
}

interface Faces {
  readonly along: number
  readonly across: number
  readonly height: number
}

/** The side lying down: a block's long side goes across the body, a bolster goes as it is turned. */
function faces({ lengthCm: l, widthCm: w, heightCm: h, rank }: PropSpec, turn: SetUpItem['turn']): Faces {
  if (turn === 'side') return { along: h, across: l, height: w }
  if (turn === 'end') return { along: h, across: w, height: l }
  if (turn === 'lengthwise') return { along: l, across: w, height: h }
  return rank === 0 || turn === 'crosswise' || turn === undefined
    ? { along: Math.min(l, w), across: Math.max(l, w), height: h }
    : { along: w, across: l, height: h }
}

/** One piece of an item as it is folded and turned. Refusals are those of {@link fold}, with the item's folds as `ops[i]`. */
export function pieceOf(item: Pick<SetUpItem, 'id' | 'kind' | 'folds' | 'turn'>, spec: PropSpec): Calculated<Piece> {
  const base = { itemId: item.id, kind: item.kind, rank: spec.rank }
  if (spec.shape === 'sheet') return sheetPiece(base, item, spec)
  if (item.kind === 'chair' && item.turn === 'upturned') {
    const { along, across, height } = upturnedChair
    const layer = { t: height, n: 1 }
    const solid = { round: false, roundSeen: false, material: spec.material, layer, footprintCm2: along * across }
    return calculated({ ...base, ...upturnedChair, ...solid })
  }
  const lying = faces(spec, item.turn)
  const round = spec.shape === 'cylinder'
  return calculated({
    ...base,
    ...lying,
    round,
    roundSeen: round && item.turn !== 'lengthwise',
    material: spec.material,
    layer: { t: lying.height, n: 1 },
    footprintCm2: lying.along * lying.across,
  })
}

function sheetPiece(
  base: Pick<Piece, 'itemId' | 'kind' | 'rank'>,
  { folds = [], turn }: Pick<SetUpItem, 'folds' | 'turn'>,
  spec: PropSpec,
): Calculated<Piece> {
  const folded = fold({ L: spec.lengthCm, W: spec.widthCm, t: spec.loadedCm ?? spec.heightCm, ops: folds.map(inCm) })
  if (!folded.ok) return folded
  const sheet = folded.value
  const [long, short] = sheet.roll
    ? [sheet.length, sheet.diameter]
    : [Math.max(sheet.L, sheet.W), Math.min(sheet.L, sheet.W)]
  const [along, across] = turn === 'lengthwise' ? [long, short] : [short, long]
  const piece = sheet.roll
    ? { height: sheet.diameter, material: spec.rolledMaterial ?? spec.material, layer: { t: sheet.diameter, n: 1 } }
    : { height: sheet.layers * spec.heightCm, material: spec.material, layer: { t: spec.heightCm, n: sheet.layers } }
  return calculated(
    {
      ...base,
      along,
      across,
      ...piece,
      round: sheet.roll,
      roundSeen: sheet.roll && turn !== 'lengthwise',
      footprintCm2: long * short,
    },
    folded.warnings,
  )
}
