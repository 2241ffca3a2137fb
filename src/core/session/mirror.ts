import type { Side } from '#model/common'
import type { HoldSide } from './resolved.ts'

export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left')

/** A cue's words for a side: `{this}` is the side being held, `{other}` the other one. */
export function mirrorText(text: string, side: HoldSide): string {
  if (side === 'both') return text
  return text.replaceAll('{this}', side).replaceAll('{other}', otherSide(side))
}

/**
 * Typed words for a side as they are stored: the named side becomes `{this}`, the other `{other}`.
 * The other way round from `mirrorText`; words that only hold a side's letters stay as they are.
 */
export function tokenText(text: string, side: Side): string {
  return text.replace(/\b(left|right)\b/gi, (word) => (word.toLowerCase() === side ? '{this}' : '{other}'))
}
