import type { LeadEvent, LedClass, Refit } from '#model/led-class'
import type { Milliseconds } from '#core/units'
import { visitsOf } from './meant-and-done.ts'

/** What stands in the journal of a class at its own time: what the teacher pressed that is worth remembering. */
export interface Moment {
  /** Since Start. */
  readonly atMs: Milliseconds
  /** The block that was led then. */
  readonly blockId: string | undefined
  readonly what:
    | { readonly type: 'pause'; readonly forMs: Milliseconds }
    | { readonly type: 'refit'; readonly way: Refit['way']; readonly leaves: readonly string[] }
    | { readonly type: (typeof plainMoments)[number] }
    /** Marked by somebody who looked on, from the device of that name. */
    | { readonly type: 'observed'; readonly by: string; readonly text: string }
}

const plainMoments = [
  'mark',
  'asPlanned',
  'promised',
  'freely',
  'stopCard',
  'stoppedThen',
  'cameLate',
  'back',
  'stay',
] as const
const isPlain = (type: string): type is (typeof plainMoments)[number] => plainMoments.some((one) => one === type)

/** What happened in a class, and what was marked by those who looked on, in the order of time. */
export function momentsOf(led: LedClass): readonly Moment[] {
  const visits = visitsOf(led)
  const events = led.events.map(({ event }) => event)
  const blockAt = (atMs: Milliseconds): string | undefined => visits.findLast(({ startMs }) => startMs <= atMs)?.blockId
  const told = events.flatMap((event, at): Moment[] => {
    const what = momentOf(event, events.slice(at + 1), led.conductedMs)
    return what ? [{ atMs: event.atMs, blockId: blockAt(event.atMs), what }] : []
  })
  const observed = led.marks.map(({ atMs, name, text }): Moment => ({
    ...{ atMs, blockId: blockAt(atMs), what: { type: 'observed', by: name, text } },
  }))
  return [...told, ...observed].sort((a, b) => a.atMs - b.atMs)
}

function momentOf(event: LeadEvent, after: readonly LeadEvent[], endMs: Milliseconds): Moment['what'] | undefined {
  if (event.type === 'pause') {
    const until = after.find(({ type }) => type === 'resume')?.atMs ?? endMs
    return { type: 'pause', forMs: Math.max(0, until - event.atMs) }
  }
  if (event.type === 'refit') return { type: 'refit', way: event.way, leaves: event.leaves }
  return isPlain(event.type) ? { type: event.type } : undefined
}

/**
 * The blocks of the plan that were not led, in its order: left out on the way, or never come to. In a class nobody ended
 * what comes after the block that was led last is not left out: it may still be led.
 */
export function leftOut(led: LedClass): readonly string[] {
  const visits = visitsOf(led)
  const were = new Set(visits.map(({ blockId }) => blockId))
  const planned = [...new Set(led.plan.segments.map(({ blockId }) => blockId))]
  const until = led.endedAt === null ? planned.findLastIndex((id) => were.has(id)) : planned.length
  return planned.slice(0, Math.max(0, until)).filter((id) => !were.has(id))
}
