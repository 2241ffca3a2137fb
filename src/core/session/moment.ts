import type { Moment } from '#model/cue'
import type { Seconds } from '#core/units'

/** Seconds from the start of a stretch at which something stands in it; never past its end. */
export function momentS(at: Moment, lengthS: Seconds): Seconds {
  if ('fromStartS' in at) return Math.min(at.fromStartS, lengthS)
  return 'share' in at ? Math.floor(at.share * lengthS) : Math.max(0, lengthS - at.beforeEndS)
}
