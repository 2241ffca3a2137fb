import type { Pace } from '#model/breath'
import type { Milliseconds } from '#core/units'

/**
 * When half-count `k` begins, in milliseconds from the start of counting: floor(k·num / (2·den)).
 * Taken from the start each time, so that no rounding adds up over a class.
 */
export const boundaryMs = (k: number, pace: Pace): Milliseconds => Math.floor((k * pace.num) / (2 * pace.den))
