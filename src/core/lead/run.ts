import type { Milliseconds } from '#core/units'
import { doneIn } from './done-in.ts'
import { doneOver } from './done-over.ts'
import { countedRun } from './counted-run.ts'
import type { LeadPlan, LeadSegment } from './lead-plan.ts'
import type { LeadState, Visit } from './lead-state.ts'
import { expectedLengths, heldMs, matchSides } from './sides.ts'

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

/**
 * When what runs now will end, if nothing more is asked: the natural breath put in, or the segment. What waits for all to be
 * settled does not end by itself: past its time it would end now.
 */
export function currentEndMs(state: LeadState): Milliseconds {
  const plannedMs = state.natural?.lengthMs ?? lengthOf(state, state.index) - state.skippedMs
  const endMs = state.startedMs + plannedMs + pausedMs(state)
  return state.waits ? Math.max(endMs, state.nowMs) : endMs
}

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

const isNatural = ({ doing }: LeadSegment): boolean =>
  doing.kind === 'breath' && doing.part === 'natural' && doing.stopped !== true

/** Kinds that may have several segments and are one thing to the teacher. */
const hasParts = ({ doing }: LeadSegment): boolean =>
  doing.kind === 'hold' || doing.kind === 'breath' || doing.kind === 'movement'

/** Whether End and what comes next go by the whole part: a hold side, counted work, and what stands for it. */
export const isWhole = (segment: LeadSegment): boolean =>
  segment.doing.kind === 'hold' || isCounted(segment) || (segment.doing.kind === 'breath' && 'stopped' in segment.doing)

/** The first segment of the part that a segment is in: itself, where it stands alone. */
export function partStart(plan: LeadPlan, index: number): number {
  let at = index
  for (;;) {
    const [before, here] = [plan.segments[at - 1], plan.segments[at]]
    if (!before || !here || !hasParts(here) || !samePart(here, before)) return at
    at -= 1
  }
}

/** How far the part that runs now is, what was paused in it left out. */
export function elapsedInPart(plan: LeadPlan, state: LeadState): Milliseconds {
  let sum = state.nowMs - state.startedMs - pausedMs(state)
  for (let index = partStart(plan, state.index); index < state.index; index += 1)
    sum += Math.min(lengthOf(state, index), heldMs(state, index))
  return sum
}

/** One past the last segment of that part. */
export function partEnd(plan: LeadPlan, index: number): number {
  let at = index
  for (;;) {
    const [here, next] = [plan.segments[at], plan.segments[at + 1]]
    if (!here || !next || !hasParts(here) || !samePart(here, next)) return at + 1
    at += 1
  }
}

const isSameSection = (a: LeadSegment, b: LeadSegment): boolean =>
  a.blockId === b.blockId &&
  a.doing.kind === 'breath' &&
  b.doing.kind === 'breath' &&
  a.doing.section === b.doing.section

/** The first segment of the section of a breath that a segment is in. */
export function sectionStart(plan: LeadPlan, index: number): number {
  let at = index
  for (;;) {
    const [before, here] = [plan.segments[at - 1], plan.segments[at]]
    if (!before || !here || !isSameSection(before, here)) return at
    at -= 1
  }
}

/** One past its last segment. */
export function sectionEnd(plan: LeadPlan, index: number): number {
  let at = index + 1
  for (;;) {
    const [here, next] = [plan.segments[at - 1], plan.segments[at]]
    if (!here || !next || !isSameSection(here, next)) return at
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

function visitOf(state: LeadState, plan: LeadPlan, endMs: Milliseconds): Visit {
  const { startedMs: startMs, skippedMs, natural } = state
  const here = segmentOf(plan, state)
  return {
    segment: natural ? null : state.index,
    blockId: natural?.blockId ?? here?.blockId ?? '',
    startMs,
    endMs,
    again: false,
    ...(here && !natural ? doneIn(here.doing, skippedMs, endMs - startMs + skippedMs) : {}),
    ...doneOver(plan, state, endMs),
  }
}

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
    waits: plan.segments[index]?.waits === true,
    pauses: [],
    grown: goesOn ? state.grown : [],
    natural: null,
    rung: index === state.index ? state.rung : {},
    overFromMs: goesOn ? state.overFromMs : atMs,
    overRounds: 0,
  }
  return state.natural ? entered : matchSides(plan, entered, from)
}
