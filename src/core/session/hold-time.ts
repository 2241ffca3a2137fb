import type { HoldTime } from '#model/block'
import type { Side } from '#model/common'
import type { Seconds } from '#core/units'

/** Seconds on a side; for a symmetric pose with sides apart by mistake, the longer counts. */
export function holdSecondsOf(hold: HoldTime, side: Side | 'both'): Seconds {
  if ('holdS' in hold) return hold.holdS
  if (side === 'both') return Math.max(hold.leftS, hold.rightS)
  return side === 'left' ? hold.leftS : hold.rightS
}

/** The hold with one side changed alone, which unlinks the two; equal again means linked only when asked. */
export function setHoldSide(hold: HoldTime, side: Side, seconds: Seconds): HoldTime {
  const leftS = side === 'left' ? seconds : holdSecondsOf(hold, 'left')
  const rightS = side === 'right' ? seconds : holdSecondsOf(hold, 'right')
  const why = 'why' in hold && hold.why !== undefined ? { why: hold.why } : {}
  return { leftS, rightS, ...why }
}

/** Both sides with one time again: that of the longer side, so that nobody is cheated. */
export const linkHold = (hold: HoldTime): HoldTime => ({ holdS: holdSecondsOf(hold, 'both') })
