import type { Milliseconds } from '#core/units'
import { advance } from './advance.ts'
import { countedRun, leadInMs } from './counted-run.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { nextInhaleMs } from './next-inhale.ts'
import { isHeld } from './plan-now.ts'
import { enter, isTrailing, partEnd, partStart, sectionEnd, sectionStart } from './run.ts'
import { matchAgain } from './sides.ts'

/** Back this soon after End undoes it; back this early in a part goes to the one before [decisions]. */
const soonMs = 10_000
/** Natural breath before counting begins anew after a pause, or before what is announced [decisions]. */
export const naturalAgainMs = 30_000

/** The class as it would be had the last End not been; undefined where that is too long ago. */
export function undoEnd(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState | undefined {
  const { beforeEnd, pressed, counting, stoppedMs } = state
  if (!beforeEnd || atMs - beforeEnd.atMs > soonMs) return undefined
  // What a stop sign ended is not begun again by it.
  const restored = advance(plan, { ...beforeEnd.state, counting, stoppedMs }, atMs)
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
  const start = thingStart(plan, here)
  const sinceMs = firstEntered(plan, state, start)
  const early = sinceMs === undefined || atMs - sinceMs < soonMs
  const to = early ? thingStart(plan, thingBefore(plan, state, start)) : start
  const entered = enter(plan, state, to, atMs)
  const end = thingEnd(plan, here)
  const visits = entered.visits.map((visit) =>
    visit.segment !== null && visit.segment >= to && visit.segment < end ? { ...visit, again: true } : visit,
  )
  const lengths = entered.lengths.map((lengthMs, index) => (index >= to ? (state.set[index] ?? lengthMs) : lengthMs))
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
  const natural = naturalBefore(plan, to)
  return { ...matched, ...(natural ? { natural } : {}), quietUntilMs: nextInhaleMs(plan, matched) }
}

/** What Back goes by: a section of a breath, a hold side, a movement side, else the segment. */
const isBreath = (plan: LeadPlan, index: number): boolean => plan.segments[index]?.doing.kind === 'breath'
const thingStart = (plan: LeadPlan, index: number): number =>
  isBreath(plan, index) ? sectionStart(plan, index) : partStart(plan, index)
const thingEnd = (plan: LeadPlan, index: number): number =>
  isBreath(plan, index) ? sectionEnd(plan, index) : partEnd(plan, index)

/** The last thing before a segment that takes time, nothing that was left out; the class's first where there is none. */
const thingBefore = (plan: LeadPlan, { set }: LeadState, index: number): number =>
  Math.max(
    0,
    plan.segments.slice(0, index).findLastIndex((segment) => (set[segment.index] ?? 0) > 0),
  )

/**
 * Natural breath before a section that is gone back to: where breath is held or stroked so long that it is announced
 * again, else the lead-in, where the section has none of its own.
 */
function naturalBefore(plan: LeadPlan, start: number): LeadState['natural'] {
  const section = plan.segments.slice(start, sectionEnd(plan, start))
  const [first] = section
  if (first?.doing.kind !== 'breath') return null
  const { blockId } = first
  if (section.some(({ doing }) => isHeld(doing))) return { blockId, lengthMs: naturalAgainMs }
  const run = countedRun(first.doing)
  return run ? { blockId, lengthMs: leadInMs(run) } : null
}

/** When the part that begins with `start` was entered this time; undefined when it was not. */
function firstEntered(plan: LeadPlan, state: LeadState, start: number): Milliseconds | undefined {
  const end = thingEnd(plan, start)
  const visit = state.visits.find(
    ({ segment, again }) => segment !== null && !again && segment >= start && segment < end,
  )
  if (visit) return visit.startMs
  return state.index === start && !state.natural ? state.startedMs : undefined
}
