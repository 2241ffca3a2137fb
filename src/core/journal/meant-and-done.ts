import type { LedClass, ToldPlan, Visit } from '#model/led-class'
import { fold, visitsAsPlanned } from '#core/lead'
import type { HoldSide } from '#core/session'
import type { Milliseconds } from '#core/units'

/** One side of one hold: what was meant, what was done. */
export interface HeldRow {
  readonly blockId: string
  readonly side: HoldSide
  readonly plannedMs: Milliseconds
  readonly heldMs: Milliseconds
  /** Times it was begun again. */
  readonly attempts: number
}

/** Time of a kind other than holding, over the whole class. */
export interface OtherRow {
  readonly kind: string
  readonly plannedMs: Milliseconds
  readonly tookMs: Milliseconds
}

export interface MeantAndDone {
  readonly holds: readonly HeldRow[]
  readonly others: readonly OtherRow[]
  readonly plannedMs: Milliseconds
  readonly ledMs: Milliseconds
}

/** What was conducted of a class: as it was kept when it ended, else as its log has it so far. */
export const visitsOf = (led: LedClass): readonly Visit[] =>
  led.format === 1 ? led.visits : (led.visits ?? visitsAsPlanned(led.plan, fold(led.plan, logOf(led), led.conductedMs)))

const logOf = ({ events }: LedClass) => events.map(({ event }) => event)

/**
 * What was meant and what was done, from the plan of a class and what was conducted of it. Attempts that were begun
 * again count as time of their own, never as held.
 */
export function meantAndDone(plan: ToldPlan, visits: readonly Visit[]): MeantAndDone {
  const took = new Map<number | null, Milliseconds>()
  const tried = new Map<number, number>()
  let againMs = 0
  for (const { segment, startMs, endMs: until, again } of visits) {
    if (again && segment !== null) tried.set(segment, (tried.get(segment) ?? 0) + 1)
    if (again) againMs += until - startMs
    else took.set(segment, (took.get(segment) ?? 0) + until - startMs)
  }
  const others = otherRows(plan, took)
  const more = [
    { kind: 'natural breath put in', plannedMs: 0, tookMs: took.get(null) ?? 0 },
    { kind: 'begun again', plannedMs: 0, tookMs: againMs },
  ].filter(({ tookMs }) => tookMs > 0)
  return {
    holds: heldRows(plan.segments, took, tried),
    others: [...others, ...more],
    plannedMs: plan.totalMs,
    ledMs: visits.at(-1)?.endMs ?? 0,
  }
}

function heldRows(
  segments: ToldPlan['segments'],
  took: ReadonlyMap<number | null, Milliseconds>,
  tried: ReadonlyMap<number, number>,
): HeldRow[] {
  const rows = new Map<string, HeldRow>()
  for (const { index, blockId, side, doing, lengthMs } of segments) {
    if (doing.kind !== 'hold' || side === null) continue
    const key = `${blockId} ${side}`
    const before = rows.get(key) ?? { blockId, side, plannedMs: 0, heldMs: 0, attempts: 0 }
    rows.set(key, {
      ...before,
      plannedMs: before.plannedMs + lengthMs,
      heldMs: before.heldMs + (took.get(index) ?? 0),
      attempts: Math.max(before.attempts, tried.get(index) ?? 0),
    })
  }
  return [...rows.values()]
}

function otherRows(plan: ToldPlan, took: ReadonlyMap<number | null, Milliseconds>): OtherRow[] {
  const rows = new Map<string, OtherRow>()
  for (const { index, doing, lengthMs } of plan.segments) {
    if (doing.kind === 'hold') continue
    const before = rows.get(doing.kind) ?? { kind: doing.kind, plannedMs: 0, tookMs: 0 }
    rows.set(doing.kind, {
      ...before,
      plannedMs: before.plannedMs + lengthMs,
      tookMs: before.tookMs + (took.get(index) ?? 0),
    })
  }
  return [...rows.values()].filter(({ plannedMs, tookMs }) => plannedMs + tookMs > 0)
}
