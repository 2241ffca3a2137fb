import { secondsToSay } from '#core/units'
import type { Seconds } from '#core/units'
import type { HeldSide } from './rule.ts'

/** Seconds of a side in which something is said, by the usual pace; at most all of it. */
export const saidIn = ({ cues, holdS }: HeldSide): Seconds =>
  Math.min(holdS, Math.round(cues.reduce((sum, { text }) => sum + (text === undefined ? 0 : secondsToSay(text)), 0)))

/** Share of a side in which nothing is said, 0 to 1. */
export const quietShare = (side: HeldSide): number => (side.holdS === 0 ? 1 : 1 - saidIn(side) / side.holdS)
