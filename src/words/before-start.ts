import { formatMs } from '#core/units'
import type { Milliseconds } from '#core/units'
import { clockText } from './dates.ts'

interface Now {
  readonly nowMs: Milliseconds
  readonly startsAtMs: Milliseconds | undefined
  readonly totalMs: Milliseconds
  readonly promisedMs: Milliseconds
}

/** Under this nobody is late or early. */
const asSaidMs = 60_000

/** What pressing Start now would mean: when the class would end, against what is promised. */
export function startWords({ nowMs, startsAtMs, totalMs, promisedMs }: Now): string {
  const ends = `Start now: ends ${clockText(nowMs + totalMs)}`
  if (startsAtMs === undefined) return `${ends}, as it is planned.`
  const earlyMs = startsAtMs - nowMs
  const when = earlyMs > asSaidMs ? `${about(earlyMs)} early, ` : -earlyMs > asSaidMs ? `${about(-earlyMs)} late, ` : ''
  const overMs = nowMs + totalMs - promisedMs
  const against =
    Math.abs(overMs) <= asSaidMs
      ? 'as promised.'
      : `${about(Math.abs(overMs))} ${overMs > 0 ? 'after' : 'before'} the promised end.`
  const asked = -earlyMs > asSaidMs ? ' You are asked then when it is to end.' : ''
  return `${ends}; ${when}${against}${asked}`
}

/** To the minute, so that it can be read while it runs. */
const about = (ms: Milliseconds): string => formatMs(Math.round(ms / 60_000) * 60_000)
