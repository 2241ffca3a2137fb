import type { LeadEvent } from '#model/led-class'
import type { Milliseconds } from '#core/units'

/** Wall time and the page's own time apart by more than this: one of them was set, or the machine slept [decisions]. */
const jumpMs = 2000

/** What the page's two clocks say at an instant. */
export interface Reading {
  /** Wall time, which the machine may set anew. */
  readonly epochMs: Milliseconds
  /** Time that only runs forward within a page load; it may stand still while the machine sleeps. */
  readonly steadyMs: Milliseconds
  /** Whether the page was hidden, or lost its hold on the screen, since the reading before. */
  readonly wasAway: boolean
}

/**
 * A class's clock within one page load. `anchor` is the class time and wall time that stand for each other; `read` is
 * what was read last. Class time runs with the page's own time from there.
 */
export interface LeadClock {
  readonly anchor: { readonly runMs: Milliseconds; readonly epochMs: Milliseconds }
  readonly read: { readonly runMs: Milliseconds; readonly epochMs: Milliseconds; readonly steadyMs: Milliseconds }
}

/** An event the clock itself has to tell, before the class time of the reading. */
export type ClockEvent = Extract<LeadEvent, { type: 'gap' | 'anchor' }>

/** The clock of a class that starts, or is taken up, at a class time. */
export const clockAt = (runMs: Milliseconds, { epochMs, steadyMs }: Reading): LeadClock => ({
  anchor: { runMs, epochMs },
  read: { runMs, epochMs, steadyMs },
})

/** Class time at an instant of the page's own time after the last reading; with its fractions. */
export const runAt = ({ read }: LeadClock, steadyMs: Milliseconds): Milliseconds =>
  Math.max(0, read.runMs + steadyMs - read.steadyMs)

/** Wall time for a class time, as the machine's clock tells it now. */
export const epochAt = ({ anchor }: LeadClock, runMs: Milliseconds): Milliseconds =>
  anchor.epochMs + runMs - anchor.runMs

/**
 * The clock after a reading, and what happened to it:
 * 1. both clocks went on alike: nothing;
 * 2. they jumped apart while looks were missing, or the page was away: the machine slept. The wall clock tells for how
 *    long, as a gap, if it went forward;
 * 3. they jumped apart while looks went on: the machine's clock was set. Class time goes on with the page's own.
 */
export function readClock(clock: LeadClock, now: Reading): [LeadClock, ClockEvent | undefined] {
  const steadyRunMs = runAt(clock, now.steadyMs)
  const wallRunMs = clock.anchor.runMs + now.epochMs - clock.anchor.epochMs
  const apartMs = wallRunMs - steadyRunMs
  const read = (runMs: Milliseconds) => ({ runMs, epochMs: now.epochMs, steadyMs: now.steadyMs })
  if (Math.abs(apartMs) <= jumpMs) return [{ anchor: clock.anchor, read: read(steadyRunMs) }, undefined]
  const looksWereMissing = now.steadyMs - clock.read.steadyMs > jumpMs
  const seenMs = Math.round(clock.read.runMs)
  if (apartMs > 0 && (looksWereMissing || now.wasAway)) {
    const event: ClockEvent = { type: 'gap', seenMs, atMs: Math.round(wallRunMs) }
    return [{ anchor: clock.anchor, read: read(wallRunMs) }, event]
  }
  const atMs = Math.round(steadyRunMs)
  const anchor = { runMs: steadyRunMs, epochMs: now.epochMs }
  return [
    { anchor, read: read(steadyRunMs) },
    { type: 'anchor', epochMs: Math.round(now.epochMs), atMs },
  ]
}

/**
 * The clock of a class that is taken up again in a new page load: only the wall clock is left to tell how long it was
 * away, from the last anchor in its log. Time never runs back before what was seen.
 */
export function takenUpClock(
  startedAtMs: Milliseconds,
  events: readonly LeadEvent[],
  seenMs: Milliseconds,
  now: Reading,
): [LeadClock, readonly ClockEvent[]] {
  const set = events.findLast((event) => event.type === 'anchor')
  const anchor = set ? { runMs: set.atMs, epochMs: set.epochMs } : { runMs: 0, epochMs: startedAtMs }
  const wallRunMs = anchor.runMs + now.epochMs - anchor.epochMs
  const runMs = Math.max(seenMs, wallRunMs)
  const atMs = Math.round(runMs)
  const read = { runMs, epochMs: now.epochMs, steadyMs: now.steadyMs }
  const gap: ClockEvent = { type: 'gap', seenMs, atMs }
  if (wallRunMs >= seenMs) return [{ anchor, read }, [gap]]
  const setBack: ClockEvent = { type: 'anchor', epochMs: Math.round(now.epochMs), atMs }
  return [{ anchor: { runMs, epochMs: now.epochMs }, read }, [gap, setBack]]
}
