import type { Side } from '#model/common'
import type { HoldSide } from './resolved.ts'

export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left')

/** A cue's words for a side: `{this}` is the side being held, `{other}` the other one. */
export function mirrorText(text: string, side: HoldSide): string {
  if (side === 'both') return text
  return text.replaceAll('{this}', side).replaceAll('{other}', otherSide(side))
}
