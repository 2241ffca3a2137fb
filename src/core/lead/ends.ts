import type { LedStart } from '#model/led-class'
import type { Milliseconds, Seconds } from '#core/units'
import type { LeadState } from './lead-state.ts'

/** A class with where it is. */
interface Led {
  readonly start: LedStart
  readonly state: LeadState
}

/** How far the class will end past what was said; that is of class time, whatever the clock is set to. */
export const behindMs = (led: Led, endsAtMs: Milliseconds): Milliseconds => endsAtMs - toEndMs(led)

/** When it is to end, in class time: as it was said last, else as it was promised. */
export const toEndMs = (led: Led): Milliseconds => led.state.saidEndMs ?? promisedMs(led)

/** When it was promised to end, in class time: a re-fit never moves that, only the answer to a late start. */
export const promisedMs = ({ start, state }: Led): Milliseconds =>
  state.promisedMs ?? Date.parse(start.promisedEnd) - Date.parse(start.startedAt)

/** When the room has to be left, in class time; undefined where nobody said. */
export const freeUntilMs = ({ start }: Pick<Led, 'start'>): Milliseconds | undefined =>
  start.freeUntil === undefined ? undefined : Date.parse(start.freeUntil) - Date.parse(start.startedAt)

/** A start this long after its time is asked about [decisions, Leading]. */
const startedLateMs = 60_000

/** By how much a class started late, while the teacher has not said what becomes of its end; undefined where it did not. */
export function startedLate({ start, state }: Led): Milliseconds | undefined {
  if (start.startsAt === undefined || state.promisedMs !== null) return undefined
  const lateMs = Date.parse(start.startedAt) - Date.parse(start.startsAt)
  return lateMs > startedLateMs ? lateMs : undefined
}

/** Behind is told from so much on, and ahead [decisions, Leading]. */
const behindFromMs = 120_000
const behindShare = 0.03
export const aheadFromMs = 180_000

/** From when on it is told that a class is behind: as it is set, 0 being never; else two minutes, or 3 % of it where that is more. */
export function behindFrom({ plan }: Pick<LedStart, 'plan'>, setS?: Seconds): Milliseconds {
  if (setS === 0) return Infinity
  return setS === undefined ? Math.max(behindFromMs, behindShare * plan.totalMs) : setS * 1000
}
