import type { Milliseconds } from '#core/units'
import type { LeadCue, LeadPlan, LeadSegment } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import {
  ahead,
  capOf,
  currentEndMs,
  heldMs,
  holdEnd,
  holdStart,
  isTrailing,
  isWhole,
  lengthOf,
  plannedAlike,
  projectedEndMs,
  segmentNow,
  segmentOf,
} from './run.ts'
import { cueInstants } from './sounds-due.ts'

/** What a screen shows of a class at its present instant. */
export interface Look {
  readonly segment: LeadSegment | undefined
  /** Time left of this hold side, breath block or segment; counts up in a pause instead. */
  readonly leftMs: Milliseconds
  /** Time in the shape so far, pauses in it included. */
  readonly heldMs: Milliseconds
  readonly pausedForMs: Milliseconds | undefined
  readonly nextCue: { readonly text: string; readonly inMs: Milliseconds } | undefined
  /** The next thing the teacher will say or lead, and its length. */
  readonly next: { readonly segment: LeadSegment; readonly lengthMs: Milliseconds } | undefined
  /** On a first side: what the second will take; on a second: what the first took. */
  readonly otherSideMs: Milliseconds | undefined
  /** How far that is from the plan of this side. */
  readonly otherSideMoreMs: Milliseconds
  /** What matching would take, where the second side was stopped at its cap. */
  readonly cappedFromMs: Milliseconds | undefined
  /** How far this hold is past its cap (the first ceiling, or its plan if longer). */
  readonly pastCapMs: Milliseconds
  readonly endsAtMs: Milliseconds
}

export function look(plan: LeadPlan, state: LeadState): Look {
  const segment = segmentNow(plan, state)
  const held = segment ? heldSoFar(plan, state, segment) : 0
  return {
    segment,
    leftMs: Math.max(0, partEndMs(plan, state) - state.nowMs),
    heldMs: held,
    pausedForMs: state.pause ? state.nowMs - state.pause.sinceMs : undefined,
    nextCue: nextCue(plan, state),
    next: nextPart(plan, state),
    ...otherSide(plan, state, segment),
    pastCapMs: segment?.doing.kind === 'hold' ? Math.max(0, held - (plan.capMs[segment.blockId] ?? Infinity)) : 0,
    endsAtMs: projectedEndMs(plan, state),
  }
}

function partEndMs(plan: LeadPlan, state: LeadState): Milliseconds {
  const here = segmentOf(plan, state)
  let endMs = currentEndMs(state)
  if (!here || !isWhole(here) || isTrailing(plan, state)) return endMs
  for (let index = state.natural ? state.index : state.index + 1; index < holdEnd(plan, state.index); index += 1) {
    endMs += lengthOf(state, index)
  }
  return endMs
}

function heldSoFar(plan: LeadPlan, state: LeadState, segment: LeadSegment): Milliseconds {
  if (segment.doing.kind !== 'hold') return state.nowMs - state.startedMs
  let sum = state.natural ? 0 : state.nowMs - state.startedMs
  for (let index = holdStart(plan, state.index); index < state.index; index += 1) sum += heldMs(state, index)
  return sum
}

function nextCue(plan: LeadPlan, state: LeadState): Look['nextCue'] {
  const told = (cue: LeadCue) => cue.text !== undefined && cue.text !== ''
  const coming = [...cueInstants(plan, state, state.index)]
    .filter(({ cue, atMs }) => told(cue) && atMs > state.nowMs)
    .sort((a, b) => a.atMs - b.atMs)[0]
  return coming && { text: coming.cue.text ?? '', inMs: coming.atMs - state.nowMs }
}

function nextPart(plan: LeadPlan, state: LeadState): Look['next'] {
  const here = segmentOf(plan, state)
  if (!here) return undefined
  const from = isTrailing(plan, state) ? state.index : isWhole(here) ? holdEnd(plan, state.index) : state.index + 1
  for (const { segment, startMs, endMs } of ahead(plan, state)) {
    if (segment.index < from || endMs <= startMs) continue
    if (!isWhole(segment)) return { segment, lengthMs: endMs - startMs }
    let lengthMs = 0
    for (let index = segment.index; index < holdEnd(plan, segment.index); index += 1) lengthMs += lengthOf(state, index)
    return { segment, lengthMs }
  }
  return undefined
}

function otherSide(
  plan: LeadPlan,
  state: LeadState,
  segment: LeadSegment | undefined,
): Pick<Look, 'otherSideMs' | 'otherSideMoreMs' | 'cappedFromMs'> {
  const none = { otherSideMs: undefined, otherSideMoreMs: 0, cappedFromMs: undefined }
  if (!segment) return none
  const seconds = plan.segments.filter(({ blockId, mirrors }) => blockId === segment.blockId && mirrors !== undefined)
  if (seconds.length === 0) return none
  const planned = seconds.reduce((sum, { lengthMs }) => sum + lengthMs, 0)
  if (segment.side === seconds[0]?.side) {
    const first = seconds.reduce((sum, { mirrors }) => sum + heldMs(state, mirrors ?? -1), 0)
    const plannedFirst = seconds.reduce((sum, { mirrors }) => sum + (plan.segments[mirrors ?? -1]?.lengthMs ?? 0), 0)
    return { otherSideMs: first, otherSideMoreMs: first - plannedFirst, cappedFromMs: state.capped[segment.blockId] }
  }
  if (segment.doing.kind !== 'hold' || !plannedAlike(plan, seconds)) {
    const set = seconds.reduce((sum, { index }) => sum + lengthOf(state, index), 0)
    return { ...none, otherSideMs: set, otherSideMoreMs: set - planned }
  }
  const whole = heldSoFar(plan, state, segment) + Math.max(0, partEndMs(plan, state) - state.nowMs)
  const matched = Math.min(whole, capOf(plan, state, seconds))
  return { ...none, otherSideMs: matched, otherSideMoreMs: matched - planned }
}
