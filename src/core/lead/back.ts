import type { Milliseconds } from '#core/units'
import { advance } from './advance.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { nextInhaleMs } from './next-inhale.ts'
import { enter, isTrailing, partEnd, partStart } from './run.ts'
import { matchAgain } from './sides.ts'

/** Back this soon after End undoes it; back this early in a part goes to the one before [decisions]. */
const soonMs = 10_000

/** The class as it would be had the last End not been; undefined where that is too long ago. */
export function undoEnd(plan: LeadPlan, { beforeEnd, pressed }: LeadState, atMs: Milliseconds): LeadState | undefined {
  if (!beforeEnd || atMs - beforeEnd.atMs > soonMs) return undefined
  const restored = advance(plan, beforeEnd.state, atMs)
  // Nobody is taken up inside a retention.
  const quietUntilMs = restored.phase === 'running' ? nextInhaleMs(plan, restored) : restored.quietUntilMs
  return { ...restored, quietUntilMs, pressed: { ...pressed, left: atMs } }
}

/**
 * Back: 1. within 10 s of End it never happened; 2. else to the start of this part (a hold side, a section of a breath,
 * a movement side); 3. in its first 10 s to the one before. What was done stays in the record as an attempt. A second
 * side begun anew matches the first side's real time again.
 */
export function goBack(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  if (state.pause) return state
  const before = undoEnd(plan, state, atMs)
  if (before) return before
  // Natural breath that trails a block belongs to that block, not to the one that waits behind it.
  const here = isTrailing(plan, state) ? state.index - 1 : state.index
  const start = partStart(plan, here)
  const sinceMs = firstEntered(plan, state, start)
  const early = sinceMs === undefined || atMs - sinceMs < soonMs
  const to = early ? partStart(plan, Math.max(0, start - 1)) : start
  const entered = enter(plan, state, to, atMs)
  const end = partEnd(plan, here)
  const visits = entered.visits.map((visit) =>
    visit.segment !== null && visit.segment >= to && visit.segment < end ? { ...visit, again: true } : visit,
  )
  const lengths = entered.lengths.map((lengthMs, index) =>
    index >= to ? (plan.segments[index]?.lengthMs ?? lengthMs) : lengthMs,
  )
  const blockId = plan.segments[to]?.blockId
  const stays = (id: string) => id !== blockId && plan.segments.slice(0, to).some((segment) => segment.blockId === id)
  const again: LeadState = {
    ...entered,
    visits,
    lengths,
    rung: {},
    freely: state.freely.filter(stays),
    capped: null,
    skippedMs: 0,
    overFromMs: atMs,
    beforeEnd: null,
  }
  const matched = matchAgain(plan, again)
  return { ...matched, quietUntilMs: nextInhaleMs(plan, matched) }
}

/** When the part that begins with `start` was entered this time; undefined when it was not. */
function firstEntered(plan: LeadPlan, state: LeadState, start: number): Milliseconds | undefined {
  const end = partEnd(plan, start)
  const visit = state.visits.find(
    ({ segment, again }) => segment !== null && !again && segment >= start && segment < end,
  )
  if (visit) return visit.startMs
  return state.index === start && !state.natural ? state.startedMs : undefined
}
