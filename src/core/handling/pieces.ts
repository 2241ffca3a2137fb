import type { PropKind } from '#model/prop'
import type { BodyPart, FoldOp, PropTurn, SetUpItem } from '#model/set-up'

/** Where a piece lies at its part. */
export type Lying = 'under' | NonNullable<SetUpItem['lies']>

/** A prop of a set-up by itself, with all that tells whether it lies as another does [handling book 1]. */
export interface Piece {
  readonly kind: PropKind
  /** Absent where it was only listed. */
  readonly part: BodyPart | undefined
  readonly lies: Lying
  readonly turn: PropTurn
  /** Its folds, each written so that equal ones are the same text. */
  readonly folds: readonly string[]
  /** Which of how many piles it belongs to. */
  readonly pile: string
  /** What it lies on, from the floor up. */
  readonly on: readonly string[]
  /** Its place among the pieces of its set-up, from the floor up. */
  readonly at: number
}

/** What is a place, and no piece: people go there [handling book 1; settled C12]. */
const places: ReadonlySet<PropKind> = new Set(['wall', 'mat', 'door', 'sofa'])

/** The pieces of a set-up: an item of count n is n pieces, dealt over its piles, each on those before it under its part. */
export function piecesOf(items: readonly SetUpItem[]): readonly Piece[] {
  const under = new Map<string, string[]>()
  const pieces: Piece[] = []
  for (const item of items.filter(({ kind }) => !places.has(kind))) {
    const { kind, count, piles = 1, lies = 'under', folds = [] } = item
    const turn = item.turn ?? usualTurn(kind)
    const written = folds.map(foldText)
    for (let copy = 0; copy < count; copy += 1) {
      const pile = `${String(piles)} ${String(copy % piles)}`
      const key = `${item.under ?? ''} ${pile}`
      const isUnder = item.under !== undefined && lies === 'under'
      const on = isUnder ? (under.get(key) ?? []) : []
      pieces.push({ kind, part: item.under, lies, turn, folds: written, pile, on, at: pieces.length })
      if (isUnder) under.set(key, [...on, `${kind} ${written.join(' ')} ${turn}`])
    }
  }
  return pieces
}

/** Bolsters and long pillows lie crosswise, all else flat, where no turn is said. */
const usualTurn = (kind: PropKind): PropTurn =>
  kind === 'rectBolster' || kind === 'roundBolster' || kind === 'longPillow' ? 'crosswise' : 'flat'

/** An absent detail of a roll equals what is usual: packing .9, no core [settled C9]. */
export function foldText(fold: FoldOp): string {
  switch (fold.op) {
    case 'accordionL':
    case 'accordionW':
      return `${fold.op} ${String(fold.n)}`
    case 'rollL':
    case 'rollW':
      return `${fold.op} ${String(fold.packing ?? 0.9)} ${String(fold.coreMm ?? 0)}`
    default:
      return fold.op
  }
}

/** How many folds are undone and done to come from some to others: what both begin with is kept. */
export function foldsBetween(from: readonly string[], to: readonly string[]): number {
  const differs = from.findIndex((fold, at) => fold !== to[at])
  const kept = differs < 0 ? Math.min(from.length, to.length) : differs
  return from.length - kept + (to.length - kept)
}

/** All that has to be the same for a piece to stay as it is; equal texts are alike pieces. */
export const placeText = ({ kind, part, lies, turn, pile, folds, on }: Piece): string =>
  [kind, part ?? '', lies, turn, pile, folds.join(' '), on.join(', ')].join(' | ')
