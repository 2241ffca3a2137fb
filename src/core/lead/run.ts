import type { Milliseconds } from '#core/units'
import { countedRun } from './counted-run.ts'
import type { LeadPlan, LeadSegment } from './lead-plan.ts'
import type { LeadState, Visit } from './lead-state.ts'
import { expectedLengths, matchSides } from './sides.ts'

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

/** How long has been paused in the segment that runs now, a pause that goes on included. */
export const pausedMs = ({ pauses, pause, nowMs }: LeadState): Milliseconds =>
  pauses.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0) + (pause ? nowMs - pause.sinceMs : 0)

/** When what runs now will end, if nothing more is asked: the natural breath put in, or the segment. */
export const currentEndMs = (state: LeadState): Milliseconds =>
  state.startedMs + (state.natural?.lengthMs ?? lengthOf(state, state.index) - state.skippedMs) + pausedMs(state)

interface Ahead {
  readonly segment: LeadSegment
  /** What of it was done before, and is not done again. */
  readonly skippedMs: Milliseconds
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
}

/** The segments from the current one on with the times they will have, the second side's match included. */
export function* ahead(plan: LeadPlan, state: LeadState): Generator<Ahead> {
  const lengths = expectedLengths(plan, state)
  let startMs = state.natural ? currentEndMs(state) : state.startedMs
  for (let index = state.index; index < plan.segments.length; index += 1) {
    const segment = plan.segments[index]
    if (!segment) return
    const skippedMs = index === state.index ? state.skippedMs : 0
    const isCurrent = index === state.index && !state.natural
    const endMs = isCurrent ? currentEndMs(state) : startMs + (lengths[index] ?? 0) - skippedMs
    yield { segment, skippedMs, startMs, endMs }
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

/**
 * Whether two segments are one thing to the teacher: a hold side with its phases, the sets of a counted section with
 * the rests between them, a movement side. Natural breath is a section of its own.
 */
export function samePart(a: LeadSegment, b: LeadSegment): boolean {
  if (a.blockId !== b.blockId || a.side !== b.side || a.doing.kind !== b.doing.kind) return false
  if (a.doing.kind === 'breath' && b.doing.kind === 'breath' && a.doing.section !== b.doing.section) return false
  return !isNatural(a) && !isNatural(b)
}

const isNatural = ({ doing }: LeadSegment): boolean => doing.kind === 'breath' && doing.part === 'natural'

/** Kinds that may have several segments and are one thing to the teacher. */
const isWhole = ({ doing }: LeadSegment): boolean =>
  doing.kind === 'hold' || doing.kind === 'breath' || doing.kind === 'movement'

/** The first segment of the part that a segment is in: itself, where it stands alone. */
export function partStart(plan: LeadPlan, index: number): number {
  let at = index
  for (;;) {
    const [before, here] = [plan.segments[at - 1], plan.segments[at]]
    if (!before || !here || !isWhole(here) || !samePart(here, before)) return at
    at -= 1
  }
}

/** One past the last segment of that part. */
export function partEnd(plan: LeadPlan, index: number): number {
  let at = index
  for (;;) {
    const [here, next] = [plan.segments[at], plan.segments[at + 1]]
    if (!here || !next || !isWhole(here) || !samePart(here, next)) return at + 1
    at += 1
  }
}

/** One past the last segment of the block a segment is in. */
export function blockEnd(plan: LeadPlan, index: number): number {
  const blockId = plan.segments[index]?.blockId
  let end = index + 1
  while (end < plan.segments.length && plan.segments[end]?.blockId === blockId) end += 1
  return end
}

/** A breath that is counted or held, or led otherwise than as natural breath; or a movement that its counts drive. */
export const isCounted = ({ doing }: LeadSegment): boolean =>
  countedRun(doing) !== undefined || (doing.kind === 'breath' && doing.part !== 'natural' && doing.part !== 'rest')

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
  const [from, to] = [segmentOf(plan, state), plan.segments[index]]
  const goesOn = from !== undefined && to !== undefined && index !== state.index && samePart(from, to)
  const entered: LeadState = {
    ...state,
    visits,
    index,
    startedMs: atMs,
    // Natural breath put in before a counted run is followed by what was left of that run.
    skippedMs: state.natural && index === state.index ? state.skippedMs : 0,
    pauses: [],
    natural: null,
    rung: index === state.index ? state.rung : {},
    overFromMs: goesOn ? state.overFromMs : atMs,
  }
  return state.natural ? entered : matchSides(plan, entered, from)
}
