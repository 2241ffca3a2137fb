import type { Milliseconds } from '#core/units'
import type { LeadPlan, LeadSegment } from './lead-plan.ts'
import type { LeadState, Visit } from './lead-state.ts'

export const segmentOf = (plan: LeadPlan, state: LeadState): LeadSegment | undefined => plan.segments[state.index]

/**
 * Whether the natural breath that runs now belongs to a block that is otherwise done: the segment at
 * `index` then waits behind it.
 */
export const isTrailing = (plan: LeadPlan, state: LeadState): boolean =>
  state.natural !== null && segmentOf(plan, state)?.blockId !== state.natural.blockId

/** The segment that stands for what runs now; for natural breath put in, its block's last one. */
export function segmentNow(plan: LeadPlan, state: LeadState): LeadSegment | undefined {
  const { natural } = state
  if (!natural) return segmentOf(plan, state)
  return plan.segments.findLast(({ blockId }) => blockId === natural.blockId)
}

export const lengthOf = (state: LeadState, index: number): Milliseconds => state.lengths[index] ?? 0

/** When what runs now will end, if nothing more is asked: the natural breath put in, or the segment. */
export function currentEndMs(state: LeadState): Milliseconds {
  const paused = state.pausedMs + (state.pause ? state.nowMs - state.pause.sinceMs : 0)
  return state.startedMs + (state.natural?.lengthMs ?? lengthOf(state, state.index)) + paused
}

/** The segments from the current one on with the times they will have: `[startMs, endMs)` each. */
export function* ahead(
  plan: LeadPlan,
  state: LeadState,
): Generator<{ segment: LeadSegment; startMs: Milliseconds; endMs: Milliseconds }> {
  let startMs = state.natural ? currentEndMs(state) : state.startedMs
  for (let index = state.index; index < plan.segments.length; index += 1) {
    const segment = plan.segments[index]
    if (!segment) return
    const isCurrent = index === state.index && !state.natural
    const endMs = isCurrent ? currentEndMs(state) : startMs + lengthOf(state, index)
    yield { segment, startMs, endMs }
    startMs = endMs
  }
}

/** When the class will end if nothing more is asked. */
export function projectedEndMs(plan: LeadPlan, state: LeadState): Milliseconds {
  if (state.phase === 'ended') return state.nowMs
  let endMs = currentEndMs(state)
  for (const part of ahead(plan, state)) endMs = part.endMs
  return endMs
}

/** Whether a segment belongs to the same hold side, breath block or movement side. */
export function sameHold(a: LeadSegment, b: LeadSegment): boolean {
  return a.blockId === b.blockId && a.side === b.side && a.doing.kind === b.doing.kind
}

/** The first segment of the hold side (or breath block, or movement side) that a segment is in. */
export function holdStart(plan: LeadPlan, index: number): number {
  let at = index
  for (;;) {
    const here = plan.segments[at]
    const before = plan.segments[at - 1]
    if (!here || !before || !sameHold(here, before)) return at
    at -= 1
  }
}

/** One past the last segment of that hold side, breath block or movement side. */
export function holdEnd(plan: LeadPlan, index: number): number {
  let at = index
  for (;;) {
    const here = plan.segments[at]
    const next = plan.segments[at + 1]
    if (!here || !next || !sameHold(here, next)) return at + 1
    at += 1
  }
}

/** Kinds that are one thing to the teacher though they have many segments. */
export const isWhole = ({ doing }: LeadSegment): boolean =>
  doing.kind === 'hold' || doing.kind === 'breath' || doing.kind === 'movement'

/** A breath that is counted or held, or a movement that its counts drive. */
export const isCounted = ({ doing }: LeadSegment): boolean =>
  (doing.kind === 'breath' && doing.part !== 'natural' && doing.part !== 'rest') ||
  (doing.kind === 'movement' && doing.part !== 'rest')

const visitOf = (state: LeadState, plan: LeadPlan, endMs: Milliseconds): Visit => ({
  segment: state.natural ? null : state.index,
  blockId: state.natural?.blockId ?? segmentOf(plan, state)?.blockId ?? '',
  startMs: state.startedMs,
  endMs,
  again: false,
})

/** The state with what runs now closed at an instant, and another segment begun there. */
export function enter(plan: LeadPlan, state: LeadState, index: number, atMs: Milliseconds): LeadState {
  const visits = atMs > state.startedMs ? [...state.visits, visitOf(state, plan, atMs)] : state.visits
  const overFromMs = index === state.index ? state.overFromMs : null
  const entered = { ...state, visits, index, startedMs: atMs, pausedMs: 0, natural: null, overFromMs }
  return matchSides(plan, entered, state.natural ? undefined : state.index)
}

/** Real time held in a segment, attempts that were begun again left out. */
export const heldMs = (state: LeadState, index: number): Milliseconds =>
  state.visits
    .filter((visit) => visit.segment === index && !visit.again)
    .reduce((sum, visit) => sum + visit.endMs - visit.startMs, 0)

/**
 * When a first side has just been left for good, the second takes its real time, phase by phase: at most
 * its cap. Sides that were planned apart keep what was planned.
 */
function matchSides(plan: LeadPlan, state: LeadState, left: number | undefined): LeadState {
  const from = left === undefined ? undefined : plan.segments[left]
  const now = plan.segments[state.index]
  if (from?.doing.kind !== 'hold' || (now && sameHold(from, now))) return state
  const seconds = plan.segments.filter(({ blockId, mirrors }) => blockId === from.blockId && mirrors !== undefined)
  const isFirst = seconds.some(({ mirrors }) => plan.segments[mirrors ?? -1]?.side === from.side)
  if (!isFirst || !plannedAlike(plan, seconds)) return state
  const wanted = seconds.map(({ mirrors }) => heldMs(state, mirrors ?? -1))
  const fullMs = wanted.reduce((sum, ms) => sum + ms, 0)
  const capMs = capOf(plan, state, seconds)
  const { [from.blockId]: _, ...others } = state.capped
  const capped = fullMs > capMs ? { ...others, [from.blockId]: fullMs } : others
  return { ...state, lengths: cutTo(seconds, wanted, state.lengths, fullMs - capMs), capped }
}

/** How long a second side may get: its first ceiling, or what is set for it, stays included, if longer. */
export function capOf(plan: LeadPlan, state: LeadState, seconds: readonly LeadSegment[]): Milliseconds {
  const set = seconds.reduce((sum, { index }) => sum + lengthOf(state, index), 0)
  return Math.max(set, plan.capMs[seconds[0]?.blockId ?? ''] ?? 0)
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

/** Whether both sides were planned with the same times. */
export const plannedAlike = (plan: LeadPlan, seconds: readonly LeadSegment[]): boolean =>
  seconds.every(({ lengthMs, mirrors }) => plan.segments[mirrors ?? -1]?.lengthMs === lengthMs)
