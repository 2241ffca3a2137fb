import type { BreathAnswers, KeptEvent, LedEnd, LedStart, Refit } from '#model/led-class'
import type { Milliseconds } from '#core/units'
import { clockAt, epochAt, readClock, runAt, takenUpClock } from './clock.ts'
import type { LeadClock, Reading } from './clock.ts'
import { fold } from './fold.ts'
import type { LeadEffect, LeadEvent, LeadState } from './lead-state.ts'
import { visitsAsPlanned } from './order.ts'
import { bellsBetween } from './sounds-due.ts'
import { beginLead, step } from './step.ts'

/** A class as a device conducts it: what it is led from, its clock, where it is, and all that was told so far. */
export interface Conducted {
  readonly start: LedStart
  readonly clock: LeadClock
  readonly state: LeadState
  readonly events: readonly KeptEvent[]
  /** The device that conducts. */
  readonly by: string
}

type Done = readonly [Conducted, readonly LeadEffect[]]

/** What the teacher can tell a class by a key or a button. */
export type Command = Exclude<LeadEvent['type'], 'gap' | 'anchor' | 'missed' | 'refit' | 'promised'>

/** What the machine itself tells is kept though it changes nothing in the class. */
const onlyKept: ReadonlySet<LeadEvent['type']> = new Set(['missed', 'anchor'])

/** A class that begins; what the machine took since Start was pressed is class time already. */
export const beginClass = (start: LedStart, reading: Reading, by: string): Conducted => ({
  start,
  clock: clockAt(Math.max(0, reading.epochMs - Date.parse(start.startedAt)), reading),
  state: beginLead(start.plan),
  events: [],
  by,
})

/** A class taken up again in a new page load, which last saw it at `seenMs`. */
export function takeUpClass(
  start: LedStart,
  events: readonly KeptEvent[],
  seenMs: Milliseconds,
  reading: Reading,
  by: string,
): Done {
  const log = events.map(({ event }) => event)
  const [clock, told] = takenUpClock(Date.parse(start.startedAt), log, seenMs, reading)
  const state = fold(start.plan, log, seenMs)
  return told.reduce<Done>(([now, before], event) => add(now, event, before), [{ start, clock, state, events, by }, []])
}

/** What is known of a class that another device led. */
export interface FromElsewhere {
  readonly start: LedStart
  readonly events: readonly KeptEvent[]
  /** The class time now. */
  readonly runMs: Milliseconds
  /** The class time at which the other device was heard of last, where it is out of touch: nobody rang the bells since. */
  readonly silentSinceMs: Milliseconds | undefined
}

/**
 * A class that this device takes over from another. It went on by its plan meanwhile: from here on this device's clock
 * stands for its time, and bells that nobody rang are told and not played late.
 */
export function takeOverClass(
  { start, events, runMs, silentSinceMs }: FromElsewhere,
  reading: Reading,
  by: string,
): Done {
  const log = events.map(({ event }) => event)
  const atMs = Math.round(runMs)
  const seenMs = Math.min(silentSinceMs ?? atMs, atMs)
  const before = fold(start.plan, log, seenMs)
  const state = fold(start.plan, log, atMs)
  const taken: Conducted = { start, clock: clockAt(atMs, reading), state, events, by }
  const anchored = add(taken, { type: 'anchor', epochMs: Math.round(reading.epochMs), atMs })
  // Counting comes back at the next inhale, as after a short gap.
  const done = add(anchored[0], { type: 'gap', seenMs: atMs, atMs }, anchored[1])
  const bells = bellsBetween(before, state)
  return bells === 0 ? done : add(done[0], { type: 'missed', bells, atMs }, done[1])
}

/** A look at the clocks: time passes, and what happened to the clocks themselves is told. */
export function lookAtClass(conducted: Conducted, reading: Reading): Done {
  if (conducted.state.phase === 'ended') return [conducted, []]
  const [clock, told] = readClock(conducted.clock, reading)
  const now = { ...conducted, clock }
  if (told) return add(now, told)
  const atMs = Math.round(clock.read.runMs)
  const [state, effects] = step(now.start.plan, now.state, { type: 'tick', atMs })
  return [{ ...now, state }, effects]
}

/** The teacher tells the class something, at this reading of the clocks. */
export function tellClass(conducted: Conducted, type: Command, reading: Reading): Done {
  const [now, effects] = lookAtClass(conducted, reading)
  return add(now, { type, atMs: Math.round(runAt(now.clock, reading.steadyMs)) }, effects)
}

/** The teacher takes a way that was worked out for what has not begun. */
export function refitClass(conducted: Conducted, way: Omit<Refit, 'type' | 'atMs'>, reading: Reading): Done {
  const [now, effects] = lookAtClass(conducted, reading)
  const { lengths, leaves, saidEndMs, order } = way
  const said = { ...(saidEndMs === undefined ? {} : { saidEndMs }), ...(order === undefined ? {} : { order }) }
  const atMs = Math.round(runAt(now.clock, reading.steadyMs))
  return add(now, { type: 'refit', way: way.way, lengths, leaves, ...said, atMs }, effects)
}

/** Bells that came due between two looks while sound was held back are told, and never played late. */
export function missBells(before: Conducted, now: Conducted): readonly [Conducted, number] {
  const bells = bellsBetween(before.state, now.state)
  if (bells === 0) return [now, 0]
  return [add(now, { type: 'missed', bells, atMs: now.state.nowMs })[0], bells]
}

function add(conducted: Conducted, event: LeadEvent, before: readonly LeadEffect[] = []): Done {
  const [state, effects] = step(conducted.start.plan, conducted.state, event)
  if (state === conducted.state && (state.phase === 'ended' || !onlyKept.has(event.type))) return [conducted, before]
  const n = (conducted.events.at(-1)?.n ?? 0) + 1
  const events = [...conducted.events, { n, by: conducted.by, event }]
  return [{ ...conducted, state, events }, [...before, ...effects]]
}

/** Class time at an instant of the page's own time; exact, for sounds. */
export const exactRunMs = ({ clock }: Conducted, steadyMs: Milliseconds): Milliseconds => runAt(clock, steadyMs)

/** Wall time for a class time, as the machine's clock tells it now. */
export const wallTime = ({ clock }: Conducted, runMs: Milliseconds): Milliseconds => epochAt(clock, runMs)

/** The teacher says when a class that started late is promised to end. */
export function promiseEnd(conducted: Conducted, endMs: Milliseconds, reading: Reading): Done {
  const [now, effects] = lookAtClass(conducted, reading)
  return add(now, { type: 'promised', endMs, atMs: Math.round(runAt(now.clock, reading.steadyMs)) }, effects)
}

/** How the class ended, to be kept. */
export function ledEnd({ start, state }: Conducted, note: string, breath: BreathAnswers): LedEnd {
  return {
    endedAt: new Date(Date.parse(start.startedAt) + state.nowMs).toISOString(),
    left: state.left,
    visits: [...visitsAsPlanned(start.plan, state)],
    ...(note.trim() === '' ? {} : { note }),
    ...(Object.keys(breath).length === 0 ? {} : { breath }),
  }
}
