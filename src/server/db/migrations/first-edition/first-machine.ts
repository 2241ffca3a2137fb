// The machine that led classes in the first edition, frozen as it stood: what a record of that edition holds can
// only be had by folding its log with it. Bells, breaths over holds and screens are left out, since no time of a
// visit depends on them. Never changed; only the migration and the taking in of what a browser still kept use it.

type Milliseconds = number

interface FirstSegment {
  readonly index: number
  readonly blockId: string
  readonly side: 'left' | 'right' | 'both' | null
  readonly doing: {
    readonly kind: string
    readonly part?: string
    readonly set?: number
    readonly round?: number
    readonly phase?: { readonly index: number }
  }
  readonly lengthMs: Milliseconds
  readonly mirrors?: number
}

export interface FirstPlan {
  readonly segments: readonly FirstSegment[]
  readonly capMs: Readonly<Record<string, Milliseconds>>
  readonly over: Readonly<Record<string, unknown>>
}

export interface FirstEvent {
  readonly type: string
  readonly atMs: Milliseconds
}

export interface FirstVisit {
  readonly segment: number | null
  readonly blockId: string
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly again: boolean
}

interface FirstState {
  readonly phase: 'running' | 'ended'
  readonly nowMs: Milliseconds
  readonly index: number
  readonly startedMs: Milliseconds
  readonly pausedMs: Milliseconds
  readonly natural: { readonly blockId: string; readonly lengthMs: Milliseconds } | null
  readonly lengths: readonly Milliseconds[]
  readonly pause: { readonly sinceMs: Milliseconds; readonly kind: 'hold' | 'breath' | 'wait' | 'asking' } | null
  readonly visits: readonly FirstVisit[]
  readonly freely: readonly string[]
  readonly capped: Readonly<Record<string, Milliseconds>>
  readonly beforeEnd: { readonly state: FirstState; readonly atMs: Milliseconds } | null
  readonly last: FirstEvent | null
  readonly left: boolean
}

const segmentOf = (plan: FirstPlan, state: FirstState): FirstSegment | undefined => plan.segments[state.index]

/**
 * Whether the natural breath that runs now belongs to a block that is otherwise done: the segment at
 * `index` then waits behind it.
 */
const isTrailing = (plan: FirstPlan, state: FirstState): boolean =>
  state.natural !== null && segmentOf(plan, state)?.blockId !== state.natural.blockId

const lengthOf = (state: FirstState, index: number): Milliseconds => state.lengths[index] ?? 0

/** When what runs now will end, if nothing more is asked: the natural breath put in, or the segment. */
function currentEndMs(state: FirstState): Milliseconds {
  const paused = state.pausedMs + (state.pause ? state.nowMs - state.pause.sinceMs : 0)
  return state.startedMs + (state.natural?.lengthMs ?? lengthOf(state, state.index)) + paused
}

/** Whether a segment belongs to the same hold side, breath block or movement side. */
function sameHold(a: FirstSegment, b: FirstSegment): boolean {
  return a.blockId === b.blockId && a.side === b.side && a.doing.kind === b.doing.kind
}

/** The first segment of the hold side (or breath block, or movement side) that a segment is in. */
function holdStart(plan: FirstPlan, index: number): number {
  let at = index
  for (;;) {
    const here = plan.segments[at]
    const before = plan.segments[at - 1]
    if (!here || !before || !sameHold(here, before)) return at
    at -= 1
  }
}

/** One past the last segment of that hold side, breath block or movement side. */
function holdEnd(plan: FirstPlan, index: number): number {
  let at = index
  for (;;) {
    const here = plan.segments[at]
    const next = plan.segments[at + 1]
    if (!here || !next || !sameHold(here, next)) return at + 1
    at += 1
  }
}

/** Kinds that are one thing to the teacher though they have many segments. */
const isWhole = ({ doing }: FirstSegment): boolean =>
  doing.kind === 'hold' || doing.kind === 'breath' || doing.kind === 'movement'

/** A breath that is counted or held, or a movement that its counts drive. */
const isCounted = ({ doing }: FirstSegment): boolean =>
  (doing.kind === 'breath' && doing.part !== 'natural' && doing.part !== 'rest') ||
  (doing.kind === 'movement' && doing.part !== 'rest')

const visitOf = (state: FirstState, plan: FirstPlan, endMs: Milliseconds): FirstVisit => ({
  segment: state.natural ? null : state.index,
  blockId: state.natural?.blockId ?? segmentOf(plan, state)?.blockId ?? '',
  startMs: state.startedMs,
  endMs,
  again: false,
})

/** The state with what runs now closed at an instant, and another segment begun there. */
function enter(plan: FirstPlan, state: FirstState, index: number, atMs: Milliseconds): FirstState {
  const visits = atMs > state.startedMs ? [...state.visits, visitOf(state, plan, atMs)] : state.visits
  const entered = { ...state, visits, index, startedMs: atMs, pausedMs: 0, natural: null }
  return matchSides(plan, entered, state.natural ? undefined : state.index)
}

/** Real time held in a segment, attempts that were begun again left out. */
const heldMs = (state: FirstState, index: number): Milliseconds =>
  state.visits
    .filter((visit) => visit.segment === index && !visit.again)
    .reduce((sum, visit) => sum + visit.endMs - visit.startMs, 0)

/**
 * When a first side has just been left for good, the second takes its real time, phase by phase: at most
 * its cap. Sides that were planned apart keep what was planned.
 */
function matchSides(plan: FirstPlan, state: FirstState, left: number | undefined): FirstState {
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
function capOf(plan: FirstPlan, state: FirstState, seconds: readonly FirstSegment[]): Milliseconds {
  const set = seconds.reduce((sum, { index }) => sum + lengthOf(state, index), 0)
  return Math.max(set, plan.capMs[seconds[0]?.blockId ?? ''] ?? 0)
}

/** Lengths with the second side's segments as wanted, less what is over, taken where most was added. */
function cutTo(
  seconds: readonly FirstSegment[],
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
const plannedAlike = (plan: FirstPlan, seconds: readonly FirstSegment[]): boolean =>
  seconds.every(({ lengthMs, mirrors }) => plan.segments[mirrors ?? -1]?.lengthMs === lengthMs)

/**
 * Lets the class's time run to an instant: every segment that ends on the way is left at its own end, not
 * at the look, so a late tick loses nothing. Time never runs backwards.
 */
function advance(plan: FirstPlan, state: FirstState, atMs: Milliseconds): FirstState {
  const toMs = Math.max(state.nowMs, atMs)
  if (state.phase === 'ended') return state
  if (state.pause) return toMs === state.nowMs ? state : { ...state, nowMs: toMs }
  let now: FirstState = state
  for (;;) {
    const endMs = currentEndMs(now)
    if (toMs < endMs) return { ...now, nowMs: toMs }
    const next = now.natural ? now.index : now.index + 1
    now = enter(plan, { ...now, nowMs: endMs }, next, endMs)
    if (next >= plan.segments.length) return { ...now, phase: 'ended' }
  }
}

/** Back this soon after End undoes it; back this early in a hold goes to the one before [decisions]. */
const soonMs = 10_000

/**
 * Back: 1. within 10 s of End it never happened; 2. else to the start of this hold; 3. in its first 10 s to
 * the one before. What was done stays in the record as an attempt.
 */
function goBack(plan: FirstPlan, state: FirstState, atMs: Milliseconds): FirstState {
  if (state.pause) return state
  const { beforeEnd } = state
  if (beforeEnd && atMs - beforeEnd.atMs <= soonMs) {
    return { ...advance(plan, beforeEnd.state, atMs), last: state.last }
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
  return { ...entered, visits: again, lengths, freely: [], beforeEnd: null }
}

/** The start of the hold side, breath block or movement side a segment is in; else the segment itself. */
function partStart(plan: FirstPlan, index: number): number {
  const segment = plan.segments[index]
  return segment && isWhole(segment) ? holdStart(plan, index) : index
}

/** When the part that begins with `start` was entered this time; undefined when it was not. */
function firstEntered(plan: FirstPlan, state: FirstState, start: number): Milliseconds | undefined {
  if (state.index === start && !state.natural) return state.startedMs
  const end = holdEnd(plan, start)
  return state.visits.find(({ segment, again }) => segment !== null && !again && segment >= start && segment < end)
    ?.startMs
}

/** One press of Stay [decisions: a fixed step]. */
const stayMs = 30_000
/** Natural breath after a pause before counting begins anew [decisions]. */
const naturalAgainMs = 30_000
/** The same key within this is one press [decisions]. */
const sameKeyMs = 400
const beginLead = (plan: FirstPlan): FirstState => ({
  phase: plan.segments.length === 0 ? 'ended' : 'running',
  nowMs: 0,
  index: 0,
  startedMs: 0,
  pausedMs: 0,
  natural: null,
  lengths: plan.segments.map(({ lengthMs }) => lengthMs),
  pause: null,
  visits: [],
  freely: [],
  capped: {},
  beforeEnd: null,
  last: null,
  left: false,
})

type Act = (plan: FirstPlan, state: FirstState, atMs: Milliseconds) => FirstState

const acts: Readonly<Record<string, Act>> = {
  pause,
  resume,
  theyComeOut,
  stay,
  end,
  back: goBack,
  match,
  freely,
  stopCard: freely,
  leave,
}

function step(plan: FirstPlan, state: FirstState, event: FirstEvent): FirstState {
  const atMs = Math.max(event.atMs, state.nowMs)
  const run = advance(plan, state, atMs)
  if (run.phase === 'ended' || isRepeat(state, event.type, atMs)) return run
  const done = acts[event.type]?.(plan, run, atMs) ?? run
  return { ...done, last: { type: event.type, atMs } }
}

const isRepeat = ({ last }: FirstState, type: string, atMs: Milliseconds): boolean =>
  last?.type === type && atMs - last.atMs < sameKeyMs

/** In a hold they stay; in counted breath it is natural breath at once, and the round is begun anew later. */
function pause(plan: FirstPlan, state: FirstState, atMs: Milliseconds): FirstState {
  const here = segmentOf(plan, state)
  if (state.pause) return state
  if (state.natural) return { ...state, pause: { sinceMs: atMs, kind: 'wait' } }
  if (!here) return state
  if (here.doing.kind === 'hold') return { ...state, pause: { sinceMs: atMs, kind: 'hold' } }
  if (!isCounted(here)) return { ...state, pause: { sinceMs: atMs, kind: 'wait' } }
  const cut = enter(plan, state, roundStart(plan, state.index), atMs)
  return {
    ...cut,
    natural: { blockId: here.blockId, lengthMs: naturalAgainMs },
    pause: { sinceMs: atMs, kind: 'breath' },
  }
}

/** Where the round a segment is in begins with its inhale. */
function roundStart(plan: FirstPlan, index: number): number {
  const here = plan.segments[index]
  if (!here || (here.doing.kind !== 'breath' && here.doing.kind !== 'movement')) return index
  const { doing } = here
  let at = index
  for (;;) {
    const before = plan.segments[at - 1]
    if (before?.blockId !== here.blockId || before.side !== here.side || before.doing.kind !== doing.kind) return at
    if (before.doing.kind !== 'breath' && before.doing.kind !== 'movement') return at
    const sameSet = before.doing.kind === 'movement' || doing.kind === 'movement' || before.doing.set === doing.set
    if (before.doing.round !== doing.round || !sameSet || !isCounted(before)) return at
    at -= 1
  }
}

function resume(_plan: FirstPlan, state: FirstState, atMs: Milliseconds): FirstState {
  if (!state.pause || state.pause.kind === 'asking') return state
  const pausedMs = state.pausedMs + atMs - state.pause.sinceMs
  return { ...state, pause: null, pausedMs }
}

/** While paused in a hold: it ends now, with the time they stayed. */
function theyComeOut(plan: FirstPlan, state: FirstState, atMs: Milliseconds): FirstState {
  if (state.pause?.kind !== 'hold') return state
  return enter(plan, { ...state, pause: null }, holdEnd(plan, state.index), atMs)
}

/** Half a minute more: of this hold and so of the other side, or of natural breath after counted work. */
function stay(plan: FirstPlan, state: FirstState): FirstState {
  const here = segmentOf(plan, state)
  if (state.natural && isTrailing(plan, state)) {
    return { ...state, natural: { ...state.natural, lengthMs: state.natural.lengthMs + stayMs } }
  }
  if (!here) return state
  const lengths = [...state.lengths]
  const more = (index: number) => {
    lengths[index] = lengthOf(state, index) + stayMs
  }
  if (here.doing.kind === 'breath' || here.doing.kind === 'movement') {
    more(holdEnd(plan, state.index) - 1)
    const tail = plan.segments[holdEnd(plan, state.index) - 1]
    // A movement without a rest after it has nowhere to stay: its counts are never stretched.
    return tail && isCounted(tail) ? state : { ...state, lengths }
  }
  more(state.index)
  const mirror = plan.segments.find(({ mirrors }) => mirrors === state.index)
  if (mirror) more(mirror.index)
  return { ...state, lengths }
}

function end(plan: FirstPlan, state: FirstState, atMs: Milliseconds): FirstState {
  const here = segmentOf(plan, state)
  if (state.pause || (!here && !state.natural)) return state
  const to =
    !here || isTrailing(plan, state) ? state.index : isWhole(here) ? holdEnd(plan, state.index) : state.index + 1
  const { beforeEnd: _, ...kept } = state
  const ended = enter(plan, state, to, atMs)
  const next = { ...ended, beforeEnd: { state: { ...kept, beforeEnd: null }, atMs } }
  return to >= plan.segments.length ? { ...next, phase: 'ended' } : next
}

/** On a second side that was stopped at its cap: as long as the first after all. */
function match(plan: FirstPlan, state: FirstState): FirstState {
  const here = segmentOf(plan, state)
  const fullMs = here && state.capped[here.blockId]
  if (!here || here.doing.kind !== 'hold' || here.mirrors === undefined || fullMs === undefined) return state
  const start = holdStart(plan, state.index)
  const side = plan.segments.slice(start, holdEnd(plan, state.index))
  const now = side.reduce((sum, { index }) => sum + lengthOf(state, index), 0)
  const lengths = [...state.lengths]
  lengths[state.index] = lengthOf(state, state.index) + Math.max(0, fullMs - now)
  const { [here.blockId]: _, ...capped } = state.capped
  return { ...state, lengths, capped }
}

/** Counts stop at once: natural breath to where the block would have ended. */
function freely(plan: FirstPlan, state: FirstState, atMs: Milliseconds): FirstState {
  const here = segmentOf(plan, state)
  if (!here || isTrailing(plan, state) || state.freely.includes(here.blockId)) return state
  if (here.doing.kind === 'hold') {
    return plan.over[here.blockId] ? { ...state, freely: [...state.freely, here.blockId] } : state
  }
  if (!isCounted(here)) return state
  const to = holdEnd(plan, state.index)
  const paused = { ...state, pause: null }
  let leftMs = Math.max(0, currentEndMs(paused) - atMs)
  for (let index = state.natural ? state.index : state.index + 1; index < to; index += 1)
    leftMs += lengthOf(state, index)
  const cut = enter(plan, paused, to, atMs)
  const freed = { ...cut, freely: [...state.freely, here.blockId] }
  return { ...freed, natural: { blockId: here.blockId, lengthMs: leftMs } }
}

function leave(plan: FirstPlan, state: FirstState, atMs: Milliseconds): FirstState {
  const closed = enter(plan, { ...state, pause: null }, plan.segments.length, atMs)
  return { ...closed, phase: 'ended', left: true }
}

/**
 * What was conducted in a class that ended at `endMs` of its own time, from its log. An absence was told without the
 * last instant seen: the class ran on through it, as it did for whoever was in the room, unless the teacher said that
 * it had stopped, which is where it ended.
 */
export function firstVisits(
  plan: FirstPlan,
  log: readonly FirstEvent[],
  endMs: Milliseconds,
): { visits: readonly FirstVisit[]; left: boolean } {
  const told = log.flatMap((event): FirstEvent[] => {
    if (event.type === 'gap' || event.type === 'wentOn') return []
    return [event.type === 'stoppedThen' ? { type: 'leave', atMs: endMs } : event]
  })
  const state = told.reduce((before, event) => step(plan, before, event), beginLead(plan))
  const { visits, left } = advance(plan, state, endMs)
  return { visits, left }
}
