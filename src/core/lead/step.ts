import type { Milliseconds } from '#core/units'
import { advance } from './advance.ts'
import { goBack } from './back.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadEffect, LeadEvent, LeadEventType, LeadState } from './lead-state.ts'
import { nextInhaleMs } from './next-inhale.ts'
import { currentEndMs, enter, holdEnd, holdStart, isCounted, isTrailing, isWhole, lengthOf, segmentOf } from './run.ts'

/** One press of Stay [decisions: a fixed step]. */
const stayMs = 30_000
/** Natural breath after a pause before counting begins anew [decisions]. */
const naturalAgainMs = 30_000
/** The same key within this is one press [decisions]. */
const sameKeyMs = 400
/** A gap longer than this is asked about; a shorter one is only a reload. */
const askedGapMs = 60_000

export const beginLead = (plan: LeadPlan): LeadState => ({
  phase: plan.segments.length === 0 ? 'ended' : 'running',
  nowMs: 0,
  index: 0,
  startedMs: 0,
  pausedMs: 0,
  natural: null,
  lengths: plan.segments.map(({ lengthMs }) => lengthMs),
  pause: null,
  visits: [],
  rung: {},
  quietUntilMs: 0,
  overFromMs: null,
  freely: [],
  capped: {},
  beforeEnd: null,
  last: null,
  left: false,
})

type Act = (plan: LeadPlan, state: LeadState, atMs: Milliseconds) => LeadState

const same: Act = (_plan, state) => state

const acts: Readonly<Record<LeadEventType, Act>> = {
  tick: same,
  mark: same,
  bell: same,
  missed: same,
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
  gap: same,
  wentOn,
  stoppedThen,
}

/**
 * The machine: the state after an event, and what the driver has to do. Events come in order of time; one
 * from the past counts as now. The same state object comes back when nothing changed.
 */
export function step(plan: LeadPlan, state: LeadState, event: LeadEvent): [LeadState, LeadEffect[]] {
  const atMs = Math.max(event.atMs, state.nowMs)
  if (event.type === 'gap') return gap(plan, state, atMs)
  const run = advance(plan, state, atMs)
  const ended = run.phase === 'ended' && state.phase === 'running'
  // A second side has taken the first's real time: what was scheduled for it no longer holds.
  const moved: LeadEffect[] = run.lengths === state.lengths ? [] : [{ type: 'schedule' }]
  if (event.type === 'tick' || run.phase === 'ended')
    return [run, ended ? [...moved, { type: 'ended' }, { type: 'save' }] : moved]
  if (event.type !== 'missed' && isRepeat(state, event.type, atMs)) return [run, moved]
  const done = acts[event.type](plan, run, atMs)
  const next = { ...done, last: { type: event.type, atMs } }
  return [next, effectsOf(event.type, run, next)]
}

const isRepeat = ({ last }: LeadState, type: LeadEventType, atMs: Milliseconds): boolean =>
  last?.type === type && atMs - last.atMs < sameKeyMs

function effectsOf(type: LeadEventType, before: LeadState, after: LeadState): LeadEffect[] {
  return [
    { type: 'save' },
    ...(type === 'bell' ? [{ type: 'sound', sound: { kind: 'bowl', strokes: 1 } } as const] : []),
    ...(type === 'stopCard' ? [{ type: 'showStopCard' } as const] : []),
    ...(type === 'mark' || type === 'bell' || type === 'missed' ? [] : [{ type: 'schedule' } as const]),
    ...(after.phase === 'ended' && before.phase === 'running' ? [{ type: 'ended' } as const] : []),
  ]
}

/** In a hold they stay; in counted breath it is natural breath at once, and the round is begun anew later. */
function pause(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
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
function roundStart(plan: LeadPlan, index: number): number {
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

function resume(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  if (!state.pause || state.pause.kind === 'asking') return state
  const pausedMs = state.pausedMs + atMs - state.pause.sinceMs
  const on = { ...state, pause: null, pausedMs }
  const here = segmentOf(plan, state)
  if (state.pause.kind !== 'hold' || !here || plan.over[here.blockId] === undefined) return on
  return { ...on, overFromMs: atMs + naturalAgainMs }
}

/** While paused in a hold: it ends now, with the time they stayed. */
function theyComeOut(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  if (state.pause?.kind !== 'hold') return state
  return enter(plan, { ...state, pause: null }, holdEnd(plan, state.index), atMs)
}

/** Half a minute more: of this hold and so of the other side, or of natural breath after counted work. */
function stay(plan: LeadPlan, state: LeadState): LeadState {
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

function end(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
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
function match(plan: LeadPlan, state: LeadState): LeadState {
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
function freely(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
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

function leave(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  const closed = enter(plan, { ...state, pause: null }, plan.segments.length, atMs)
  return { ...closed, phase: 'ended', left: true }
}

/**
 * The page was away from the last event or tick (`state.nowMs`) until `atMs`. After a long gap nothing goes
 * on until the teacher has said what happened; after a short one counting waits for the next inhale.
 */
function gap(plan: LeadPlan, state: LeadState, atMs: Milliseconds): [LeadState, LeadEffect[]] {
  if (state.phase === 'ended') return [state, []]
  const effects: LeadEffect[] = [{ type: 'save' }, { type: 'schedule' }]
  if (!state.pause && atMs - state.nowMs > askedGapMs) {
    const asking = { ...state, pause: { sinceMs: state.nowMs, kind: 'asking' as const }, nowMs: atMs }
    return [asking, effects]
  }
  const run = advance(plan, state, atMs)
  const next = { ...run, quietUntilMs: nextInhaleMs(plan, run) }
  return [next, next.phase === 'ended' ? [...effects, { type: 'ended' }] : effects]
}

/** After a long gap: the class went on by itself, so its time did. */
function wentOn(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  if (state.pause?.kind !== 'asking') return state
  const run = advance(plan, { ...state, pause: null, nowMs: state.pause.sinceMs }, atMs)
  return { ...run, quietUntilMs: run.phase === 'ended' ? run.quietUntilMs : nextInhaleMs(plan, run) }
}

/** After a long gap: the class stopped when the gap began. */
function stoppedThen(plan: LeadPlan, state: LeadState): LeadState {
  if (state.pause?.kind !== 'asking') return state
  const { sinceMs } = state.pause
  return { ...leave(plan, { ...state, nowMs: sinceMs }, sinceMs), nowMs: sinceMs }
}
