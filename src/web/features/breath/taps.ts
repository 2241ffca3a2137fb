import { ok } from '#core/result'
import type { Pace } from '#model/breath'
import { boundaryMs, steadiness } from '#core/breath'
import type { Steadiness } from '#core/breath'
import type { DueSound } from '#core/lead'
import type { Milliseconds } from '#core/units'

/** A count that is tapped along: for how long, and every tap since the first, ms of the page's own time. */
export interface Taps {
  readonly lengthMs: Milliseconds
  readonly at: readonly Milliseconds[]
}

/** The same finger down twice within this is one tap. */
const bounceMs = 80

/** The taps with one more: a bounce is none, and past the length of the practice none counts. */
export function withTap(taps: Taps, atMs: Milliseconds): Taps {
  const [first = atMs] = taps.at
  const last = taps.at.at(-1)
  if (last !== undefined && atMs - last < bounceMs) return taps
  return atMs - first > taps.lengthMs ? taps : { ...taps, at: [...taps.at, atMs] }
}

const countedIn = 4

/** The counts that are sounded before one goes on by oneself. */
export const countIn = (pace: Pace): DueSound[] =>
  Array.from({ length: countedIn }, (_, at) => ({
    key: `count-in-${String(at)}`,
    atMs: boundaryMs((at + 1) * 2, pace),
    sound: { kind: 'wood', strokes: 1 },
  }))

/** When the practice is over: its length after its first tap; undefined before that. */
export const overAt = ({ at: [first], lengthMs }: Taps): Milliseconds | undefined =>
  first === undefined ? undefined : first + lengthMs

/** What the count did against the pace; undefined while there is too little of it. */
export function heldCount({ at }: Taps, wantMs: Milliseconds): Steadiness | undefined {
  const [first = 0] = at
  const made = at.length === 0 ? ok(undefined) : steadiness({ tapsMs: at.map((tap) => tap - first), wantMs })
  return made.ok ? made.value : undefined
}
