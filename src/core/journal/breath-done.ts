import type { LeadEvent, LedPlan, Visit } from '#model/led-class'
import type { Milliseconds } from '#core/units'

/** The counted breath of one block: what was meant, what was done, whether it was left free. */
export interface BreathRow {
  readonly blockId: string
  readonly plannedRounds: number
  readonly rounds: number
  /** The longest that a breath was held; 0 where none was. */
  readonly longestHeldMs: Milliseconds
  /** When it went to natural breath, and by what; absent where it was led to its end. */
  readonly freed?: { readonly atMs: Milliseconds; readonly by: 'freely' | 'stopCard' }
}

/**
 * What was done of the counted breath of a class, a row a block. Rounds of an attempt that was begun again do not count;
 * the longest held breath does, whatever became of the attempt.
 */
export function breathDone(plan: LedPlan, visits: readonly Visit[], events: readonly LeadEvent[]): BreathRow[] {
  const planned = new Map<string, number>()
  for (const { blockId, doing } of plan.segments)
    if (doing.kind === 'breath' && doing.part === 'counted')
      planned.set(blockId, (planned.get(blockId) ?? 0) + doing.rounds)
  return [...planned].map(([blockId, plannedRounds]) => {
    const its = visits.filter((visit) => visit.blockId === blockId)
    const freed = freedIn(its, events)
    return {
      blockId,
      plannedRounds,
      rounds: its.reduce((sum, { rounds = 0, again }) => sum + (again ? 0 : rounds), 0),
      longestHeldMs: its.reduce((most, { longestHeldMs = 0 }) => Math.max(most, longestHeldMs), 0),
      ...(freed ? { freed } : {}),
    }
  })
}

function freedIn(visits: readonly Visit[], events: readonly LeadEvent[]): BreathRow['freed'] {
  const within = ({ atMs }: LeadEvent) =>
    visits.some(({ segment, startMs, endMs }) => segment !== null && startMs <= atMs && atMs <= endMs)
  for (const event of events)
    if ((event.type === 'freely' || event.type === 'stopCard') && within(event))
      return { atMs: event.atMs, by: event.type }
  return undefined
}
