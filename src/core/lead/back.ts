import type { Milliseconds } from '#core/units'
import { advance } from './advance.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { nextInhaleMs } from './next-inhale.ts'
import { enter, holdEnd, holdStart, isTrailing, isWhole } from './run.ts'

/** Back this soon after End undoes it; back this early in a hold goes to the one before [decisions]. */
const soonMs = 10_000

/**
 * Back: 1. within 10 s of End it never happened; 2. else to the start of this hold; 3. in its first 10 s to
 * the one before. What was done stays in the record as an attempt.
 */
export function goBack(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  if (state.pause) return state
  const { beforeEnd } = state
  if (beforeEnd && atMs - beforeEnd.atMs <= soonMs) {
    const restored = advance(plan, beforeEnd.state, atMs)
    // The class is where it would be; but nobody is taken up inside a retention.
    const quietUntilMs = restored.phase === 'running' ? nextInhaleMs(plan, restored) : restored.quietUntilMs
    return { ...restored, quietUntilMs, last: state.last }
  }
  // Natural breath that trails a block belongs to that block, not to the one that waits behind it.
  const here = isTrailing(plan, state) ? state.index - 1 : state.index
  const start = partStart(plan, here)
  const sinceMs = firstEntered(plan, state, start)
  const early = sinceMs === undefined || atMs - sinceMs < soonMs
  const to = early ? partStart(plan, Math.max(0, start - 1)) : start
  const entered = enter(plan, state, to, atMs)
  const again = entered.visits.map((visit) =>
    visit.segment !== null && visit.segment >= to && visit.segment < holdEnd(plan, here)
      ? { ...visit, again: true }
      : visit,
  )
  const lengths = entered.lengths.map((lengthMs, index) =>
    index >= to ? (plan.segments[index]?.lengthMs ?? lengthMs) : lengthMs,
  )
  const later = (key: string) => Number(key.split('@')[1]) < to
  const rung = Object.fromEntries(Object.entries(entered.rung).filter(([key]) => later(key)))
  return { ...entered, visits: again, lengths, rung, freely: [], beforeEnd: null }
}

/** The start of the hold side, breath block or movement side a segment is in; else the segment itself. */
function partStart(plan: LeadPlan, index: number): number {
  const segment = plan.segments[index]
  return segment && isWhole(segment) ? holdStart(plan, index) : index
}

/** When the part that begins with `start` was entered this time; undefined when it was not. */
function firstEntered(plan: LeadPlan, state: LeadState, start: number): Milliseconds | undefined {
  if (state.index === start && !state.natural) return state.startedMs
  const end = holdEnd(plan, start)
  return state.visits.find(({ segment, again }) => segment !== null && !again && segment >= start && segment < end)
    ?.startMs
}
