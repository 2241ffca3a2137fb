import type { PropKind } from '#model/prop'
import type { Seconds } from '#core/units'
import { foldsBetween, placeText } from './pieces.ts'
import type { Piece } from './pieces.ts'

/** Seconds of what is done with a piece of each kind, by regular people [handling book 2: estimates]. */
interface ByHand {
  readonly moves: Seconds
  readonly brings: Seconds
  readonly aside: Seconds
  /** Hands it takes to carry. */
  readonly hands: 1 | 2
}

const usual: ByHand = { moves: 5, brings: 4, aside: 3, hands: 1 }
const chair: ByHand = { moves: 15, brings: 15, aside: 15, hands: 2 }
const others: Readonly<Partial<Record<PropKind, ByHand>>> = {
  strap: { ...usual, brings: 12, aside: 6 },
  chair,
  mattress: { moves: 30, brings: 30, aside: 30, hands: 2 },
}

export const byHand = (kind: PropKind): ByHand => others[kind] ?? usual

const refoldS = 4
const eachFoldS = 3

/** What is done with a piece from one set-up to the next, and how long that takes a regular person. */
export interface Done {
  readonly does: 'stays' | 'moves' | 'refolds'
  /** Folds undone and done. */
  readonly k: number
  readonly s: Seconds
}

/** A piece that both set-ups have; where the base position changes nothing stays where it is. */
export function doneWith(from: Piece, to: Piece, baseChanges: boolean): Done {
  const k = foldsBetween(from.folds, to.folds)
  if (k > 0) return { does: 'refolds', k, s: refoldS + eachFoldS * k }
  if (!baseChanges && placeText(from) === placeText(to)) return { does: 'stays', k, s: 0 }
  return { does: 'moves', k, s: byHand(from.kind).moves }
}

/** Bringing a piece, unfolded from how its kind is kept where that is said. */
export const bringingS = ({ kind, folds }: Piece, kept: readonly string[] | undefined): Seconds =>
  byHand(kind).brings + (kept === undefined ? 0 : eachFoldS * foldsBetween(kept, folds))
