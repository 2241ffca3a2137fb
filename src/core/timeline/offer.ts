import type { Piece } from './piece.ts'

/** After so long a block without a set-up of its own is offered otherwise, s. */
const afterS = 10

/**
 * The sentence for everybody at the set-up of a block, half way through it on the first side; where nothing is set up,
 * a little after it begins. Said once.
 */
export function withOffer(pieces: readonly Piece[], offer: string | undefined): readonly Piece[] {
  if (offer === undefined) return pieces
  const setUp = pieces.findIndex(({ doing, lengthMs }) => doing.kind === 'setUp' && lengthMs > 0)
  const at = setUp >= 0 ? setUp : pieces.findIndex(({ doing, lengthMs }) => doing.kind !== 'change' && lengthMs > 0)
  return pieces.map((piece, index) =>
    index === at
      ? {
          ...piece,
          cues: [...piece.cues, { id: 'offer', at: setUp >= 0 ? { share: 0.5 } : { fromStartS: afterS }, text: offer }],
        }
      : piece,
  )
}
