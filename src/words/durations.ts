import type { Refused } from '#core/result'
import { formatDuration } from '#core/units'

/** A refused time in words that name the mend. */
export function durationWords({ code, extra = {} }: Refused): string {
  const { typed, leastS, mostS } = extra
  switch (code) {
    case 'TIME_EMPTY':
      return 'Type a time, as 3:30.'
    case 'TIME_PAST_59':
      return `${String(typed)} has more than 59 in its seconds: type 3:30 or 3.5.`
    case 'TIME_RANGE':
      return `${String(typed)} is outside ${formatDuration(Number(leastS))} to ${formatDuration(Number(mostS))}.`
    default:
      return `"${String(typed)}" is not a time: type 3:30, 3.5, 90s or 1h15.`
  }
}
