import type { Side } from '#model/common'
import type { HoldSide } from './resolved.ts'

export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left')

/**
 * A cue's words for a side: `{this}` is the side being held, `{other}` the other one. Where both are held
 * at once there is no "this" to name, and the other is just the other.
 */
export function mirrorText(text: string, side: HoldSide): string {
  if (side === 'both') return text.replace(/\{this\} ?/g, '').replaceAll('{other}', 'other')
  return text.replaceAll('{this}', side).replaceAll('{other}', otherSide(side))
}
