import type { Milliseconds } from '#core/units'
import type { LeadPlan, LeadSegment } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { secondsOf } from './plan-index.ts'

/** Whether both sides were planned with the same times; sides that were planned apart keep their difference. */
export const plannedAlike = (plan: LeadPlan, seconds: readonly LeadSegment[]): boolean =>
  seconds.every(({ lengthMs, mirrors }) => plan.segments[mirrors ?? -1]?.lengthMs === lengthMs)

/**
 * Real time held in a segment, attempts that were begun again left out. What counts was visited in the order of the
 * plan, so that only the last visits are looked at.
 */
export function heldMs({ visits }: LeadState, index: number): Milliseconds {
  let sum = 0
  for (let at = visits.length - 1; at >= 0; at -= 1) {
    const visit = visits[at]
    if (!visit || visit.again || visit.segment === null) continue
    if (visit.segment < index) return sum
    if (visit.segment === index) sum += visit.endMs - visit.startMs
  }
  return sum
}

/** How long a second side may get: its first ceiling, or what is set for it, stays included, if longer. */
export function capOf(plan: LeadPlan, state: LeadState, seconds: readonly LeadSegment[]): Milliseconds {
  const set = seconds.reduce((sum, { index }) => sum + (state.lengths[index] ?? 0), 0)
  return Math.max(set, plan.capMs[seconds[0]?.blockId ?? ''] ?? 0)
}

const isFirstSide = (plan: LeadPlan, segment: LeadSegment, seconds: readonly LeadSegment[]): boolean =>
  seconds.some(({ mirrors }) => plan.segments[mirrors ?? -1]?.side === segment.side)

/** The state with the second side's lengths as its first side was held, phase by phase, at most its cap. */
function matchTo(
  plan: LeadPlan,
  state: LeadState,
  seconds: readonly LeadSegment[],
  wanted: readonly Milliseconds[],
): LeadState {
  const blockId = seconds[0]?.blockId ?? ''
  const fullMs = wanted.reduce((sum, ms) => sum + ms, 0)
  const capMs = capOf(plan, state, seconds)
  const capped = fullMs > capMs ? { blockId, fullMs } : null
  return { ...state, lengths: cutTo(seconds, wanted, state.lengths, fullMs - capMs), capped }
}

/**
 * When a first side has just been left for good, the second takes its real time. `from` is the segment that was left;
 * nothing changes while the same hold side goes on.
 */
export function matchSides(plan: LeadPlan, state: LeadState, from: LeadSegment | undefined): LeadState {
  if (from?.doing.kind !== 'hold') return state
  const now = plan.segments[state.index]
  if (now?.doing.kind === 'hold' && now.blockId === from.blockId && now.side === from.side) return state
  const seconds = secondsOf(plan, from.blockId)
  if (!isFirstSide(plan, from, seconds) || !plannedAlike(plan, seconds)) return state
  const wanted = seconds.map(({ mirrors }) => heldMs(state, mirrors ?? -1))
  return matchTo(plan, state, seconds, wanted)
}

/** After going back to the second side, or to before it, it matches the first side's real time again. */
export function matchAgain(plan: LeadPlan, state: LeadState): LeadState {
  const seconds = secondsOf(plan, plan.segments[state.index]?.blockId ?? '')
  const firstSide = seconds.flatMap(({ mirrors }) => mirrors ?? [])
  const isDone = firstSide.length > 0 && firstSide.every((index) => index < state.index)
  if (!isDone || !plannedAlike(plan, seconds)) return state
  return matchTo(
    plan,
    state,
    seconds,
    firstSide.map((index) => heldMs(state, index)),
  )
}

/** The lengths as they will be: while a first side runs, its second side's match is in them already. */
export function expectedLengths(plan: LeadPlan, state: LeadState): readonly Milliseconds[] {
  const here = plan.segments[state.index]
  if (here?.doing.kind !== 'hold' || state.natural || state.phase === 'ended') return state.lengths
  const seconds = secondsOf(plan, here.blockId)
  if (!isFirstSide(plan, here, seconds) || !plannedAlike(plan, seconds)) return state.lengths
  const wanted = seconds.map(({ mirrors }) => willBeHeldMs(state, mirrors ?? -1))
  return matchTo(plan, state, seconds, wanted).lengths
}

/** What a segment of the side that runs now will have been held for, if nothing more is asked. */
function willBeHeldMs(state: LeadState, index: number): Milliseconds {
  if (index < state.index) return heldMs(state, index)
  const planned = state.lengths[index] ?? 0
  if (index > state.index) return planned
  const paused = state.pauses.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0)
  return planned + paused + (state.pause ? state.nowMs - state.pause.sinceMs : 0)
}

/** Lengths with the second side's segments as wanted, less what is over, taken where most was added. */
function cutTo(
  seconds: readonly LeadSegment[],
  wanted: readonly Milliseconds[],
  set: readonly Milliseconds[],
  over: Milliseconds,
): Milliseconds[] {
  const lengths = [...set]
  const added = seconds.map(({ index }, place) => ({
    index,
    full: wanted[place] ?? 0,
    more: (wanted[place] ?? 0) - (set[index] ?? 0),
  }))
  let overMs = Math.max(0, over)
  for (const { index, full, more } of added.sort((a, b) => b.more - a.more)) {
    const cut = Math.min(Math.max(0, more), overMs)
    lengths[index] = full - cut
    overMs -= cut
  }
  return lengths
}
