import type { PropKind } from '#model/prop'
import type { BodyPart } from '#model/set-up'
import type { Seconds } from '#core/units'
import type { Piece } from './pieces.ts'

/** One piece and what is done with it. */
export interface Handled {
  readonly does: 'stays' | 'moves' | 'refolds' | 'aside' | 'brings'
  readonly kind: PropKind
  readonly from: Piece | undefined
  readonly to: Piece | undefined
  /** Folds undone and done. */
  readonly k: number
  readonly s: Seconds
}

/** One thing that is done, in the order it is done. */
export interface Action {
  readonly does: 'aside' | 'moves' | 'refolds' | 'brings'
  readonly kind: PropKind
  /** The part it was at, and the one it comes to; absent where it was only listed. */
  readonly from?: BodyPart
  readonly to?: BodyPart
  /** The part at which it is done; absent where the thing was only listed. */
  readonly part: BodyPart | undefined
  readonly k?: number
}

/** The body's parts from head to feet, as a person is gone along. */
export const partsInOrder: readonly BodyPart[] = [
  'head',
  'eyes',
  'neck',
  'upperBack',
  'chest',
  'arms',
  'hands',
  'lowBack',
  'belly',
  'pelvis',
  'thighs',
  'knees',
  'shins',
  'ankles',
  'feet',
]

/**
 * All that is done, in four runs [handling book 2; settled C8]: off the body; from under it, part by part, each from the
 * top; under it, part by part, each from the floor; on the body. What is moved stands where it is laid down, and rests
 * beside the mat till then.
 */
export function inOrder(handled: readonly Handled[]): readonly Action[] {
  return handled
    .filter(({ does }) => does !== 'stays')
    .map((one) => ({ one, place: placeOf(one) }))
    .sort((a, b) => a.place.run - b.place.run || a.place.part - b.place.part || a.place.at - b.place.at)
    .map(({ one }) => actionOf(one))
}

type Run = 0 | 1 | 2 | 3

/** Which run, which part from the head on, and where in its pile. */
function placeOf({ from, to }: Handled): { readonly run: Run; readonly part: number; readonly at: number } {
  const piece = to ?? from
  const isUnder = piece?.lies === 'under' && piece.part !== undefined
  const run: Run = to ? (isUnder ? 2 : 3) : isUnder ? 1 : 0
  const at = piece?.at ?? 0
  return {
    run,
    part: piece?.part === undefined ? partsInOrder.length : partsInOrder.indexOf(piece.part),
    at: to ? at : -at,
  }
}

function actionOf({ does, kind, from, to, k }: Handled): Action {
  if (does === 'stays') throw new RangeError('inOrder: what stays is not done')
  return {
    does,
    kind,
    ...(from?.part ? { from: from.part } : {}),
    ...(to?.part ? { to: to.part } : {}),
    part: (to ?? from)?.part,
    ...(k > 0 ? { k } : {}),
  }
}
