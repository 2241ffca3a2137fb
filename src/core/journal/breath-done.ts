import type { LeadEvent, LedClass, LedPlan, Visit } from '#model/led-class'
import { roundsThatFit } from '#core/breath'
import type { Milliseconds } from '#core/units'
import { visitsOf } from './meant-and-done.ts'

/** The counted breath of one block, or over a hold: what was meant, what was done, whether it was left free. */
export interface BreathRow {
  readonly blockId: string
  readonly plannedRounds: number
  readonly rounds: number
  /** The longest that a breath was held; 0 where none was. */
  readonly longestHeldMs: Milliseconds
  /**
   * When it went to natural breath, and by what, a stop sign before it included; absent where it was led to its end.
   */
  readonly freed?: { readonly atMs: Milliseconds; readonly by: 'freely' | 'stopCard' | 'stopBefore' }
}

/**
 * What was done of the counted breath of a class, a row a block. Rounds of an attempt that was begun again do not count;
 * the longest held breath does, whatever became of the attempt.
 */
export function breathDone(plan: LedPlan, visits: readonly Visit[], events: readonly LeadEvent[]): BreathRow[] {
  return [...roundsPlanned(plan, visits)].map(([blockId, plannedRounds]) => {
    const its = visits.filter((visit) => visit.blockId === blockId)
    const rounds = its.reduce((sum, { rounds: done = 0, again }) => sum + (again ? 0 : done), 0)
    const freed = freedIn(its, events) ?? (rounds === 0 ? stoppedBefore(its, events) : undefined)
    return {
      blockId,
      plannedRounds,
      rounds,
      longestHeldMs: its.reduce((most, { longestHeldMs = 0 }) => Math.max(most, longestHeldMs), 0),
      ...(freed ? { freed } : {}),
    }
  })
}

/** Rounds that are planned of each block; over a hold only where its visits tell of any: older ones do not. */
function roundsPlanned(plan: LedPlan, visits: readonly Visit[]): ReadonlyMap<string, number> {
  const planned = new Map<string, number>()
  const add = (blockId: string, rounds: number) => planned.set(blockId, (planned.get(blockId) ?? 0) + rounds)
  const told = new Set(visits.flatMap(({ blockId, rounds }) => (rounds === undefined ? [] : [blockId])))
  const sides = new Map<string, { readonly blockId: string; lengthMs: Milliseconds }>()
  for (const { blockId, side, doing, lengthMs } of plan.segments) {
    if (doing.kind === 'breath' && doing.part === 'counted') add(blockId, doing.rounds)
    if (doing.kind !== 'hold' || !plan.over[blockId] || !told.has(blockId)) continue
    const key = `${blockId} ${String(side)}`
    sides.set(key, { blockId, lengthMs: (sides.get(key)?.lengthMs ?? 0) + lengthMs })
  }
  for (const { blockId, lengthMs } of sides.values()) {
    const over = plan.over[blockId]
    if (over) add(blockId, Math.min(over.rounds ?? Infinity, roundsThatFit(lengthMs, over.pattern, over.pace)))
  }
  return planned
}

/** The stop sign before a block of which nothing was counted, unless counting was asked for again in between. */
function stoppedBefore(visits: readonly Visit[], events: readonly LeadEvent[]): BreathRow['freed'] {
  const begunMs = visits[0]?.startMs
  if (begunMs === undefined) return undefined
  const last = events.findLast(({ type, atMs }) => atMs <= begunMs && (type === 'stopCard' || type === 'countAgain'))
  return last?.type === 'stopCard' ? { atMs: last.atMs, by: 'stopBefore' } : undefined
}

function freedIn(visits: readonly Visit[], events: readonly LeadEvent[]): BreathRow['freed'] {
  const within = ({ atMs }: LeadEvent) =>
    visits.some(({ segment, startMs, endMs }) => segment !== null && startMs <= atMs && atMs <= endMs)
  for (const event of events)
    if ((event.type === 'freely' || event.type === 'stopCard') && within(event))
      return { atMs: event.atMs, by: event.type }
  return undefined
}

/** The same of a record as it is read; a class of the first edition counted no rounds. */
export const breathOf = (led: LedClass): BreathRow[] =>
  led.format === 2
    ? breathDone(
        led.plan,
        visitsOf(led),
        led.events.map(({ event }) => event),
      )
    : []
