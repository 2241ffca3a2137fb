import type { Cue, Moment } from '#model/cue'
import { secondsToSay } from '#core/units'
import type { Seconds } from '#core/units'

/** Two cues stand at least this far apart [decisions, phases and cues]. */
const leastApartS = 10
/** A hold under this has one cue [practice review]. */
const oneCueUnderS = 90
/** At most this share of a hold is talked through [handbook, quiet]. */
const mostSaid = 1 / 3
/** So long the words last that every hold begins with: that it is settled, and to move if anything hurts [estimate]. */
const openingS = 6

/** The second of a hold at which a cue stands, clamped to it. */
function secondOf(at: Moment, holdS: Seconds): Seconds {
  const second =
    'fromStartS' in at ? at.fromStartS : 'share' in at ? Math.floor(at.share * holdS) : holdS - at.beforeEndS
  return Math.min(holdS, Math.max(0, second))
}

/**
 * The cues a pose brings with it, as far as a hold has room for them: those written first before the others, each apart
 * from those already in, most of the hold quiet. A hold with room for all has them as they are; sounds always stay.
 */
export function usualCues(cues: readonly Cue[], holdS: Seconds): readonly Cue[] {
  const times: Seconds[] = []
  const most = holdS < oneCueUnderS ? 1 : Infinity
  let said = 0
  let saidS: Seconds = openingS
  const kept = cues.filter(({ at, text }) => {
    const second = secondOf(at, holdS)
    const needS = text === undefined ? 0 : secondsToSay(text)
    const isApart = times.every((other) => Math.abs(other - second) >= leastApartS)
    const isFree = isApart && said < most && saidS + needS <= holdS * mostSaid
    if (text !== undefined && !isFree) return false
    if (text !== undefined) said += 1
    times.push(second)
    saidS += needS
    return true
  })
  return kept.length === cues.length ? cues : kept
}
