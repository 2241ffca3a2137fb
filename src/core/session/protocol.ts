import type { BreathBlock } from '#model/block'
import type { Piece } from '#model/piece'

/** The breath work of a piece that is nothing else: a protocol, a list of sections with a name. */
export function protocolIn({ blocks }: Pick<Piece, 'blocks'>): BreathBlock | undefined {
  const [only, ...others] = blocks
  return only?.kind === 'breath' && others.length === 0 ? only : undefined
}
