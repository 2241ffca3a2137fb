import type { Milliseconds } from '#core/units'
import { advance } from './advance.ts'
import { goBack, naturalAgainMs } from './back.ts'
import { breathNow } from './breath-now.ts'
import { atTick, countedRun, roundAt } from './counted-run.ts'
import { beforeHold } from './lead-plan.ts'
import type { LeadPlan, LeadSegment } from './lead-plan.ts'
import type { LeadEventType, LeadState } from './lead-state.ts'
import { roundsKept } from './done-over.ts'
import { freely } from './freely.ts'
import { nextInhaleMs } from './next-inhale.ts'
import { secondsOf } from './plan-index.ts'
import { asPlanned } from './refit/refitted.ts'
import { countAgain, stopSign } from './stop.ts'
import { waitsFrom } from './waits.ts'
import {
  blockEnd,
  enter,
  isCounted,
  isTrailing,
  isWhole,
  lengthOf,
  partEnd,
  partStart,
  sectionEnd,
  segmentOf,
} from './run.ts'

/** One press of Stay [decisions: a fixed step]. */
const stayMs = 30_000
/** An End this soon after another can be undone together with it [decisions]. */
const soonMs = 10_000

type Act = (plan: LeadPlan, state: LeadState, atMs: Milliseconds) => LeadState

const same: Act = (_plan, state) => state

/** What each event does to a class that runs. Answers act only while they are asked for, which `step` sees to. */
export const acts: Readonly<Record<Exclude<LeadEventType, 'refit' | 'promised'>, Act>> = {
  mark: same,
  bell: same,
  missed: same,
  gap: same,
  anchor: same,
  pause,
  resume,
  theyComeOut,
  stay,
  end,
  back: goBack,
  match,
  freely,
  stopCard: stopSign,
  countAgain,
  cameLate: same,
  asPlanned,
  settled,
  leave,
  wentOn,
  stoppedThen,
}

/**
 * All are settled: from the change on, what stands before a hold is over and it begins, where that waits for it; where the
 * clock leads, only a change or a set-up is over.
 */
function settled(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  const here = segmentOf(plan, state)
  if (state.pause || !here) return state
  if (!beforeHold.has(here.doing.kind)) return state
  const waiting = waitsFrom(plan, state.index)
  if (waiting !== undefined) return endAt(plan, state, state, waiting + 1, atMs)
  return here.doing.kind === 'settle' ? state : endAt(plan, state, state, state.index + 1, atMs)
}

/** In a hold they stay; in counted breath it is natural breath at once, and the round is begun anew later. */
function pause(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  const here = segmentOf(plan, state)
  if (state.pause) return state
  if (state.natural) return { ...state, pause: { sinceMs: atMs, kind: 'wait' } }
  if (!here) return state
  if (here.doing.kind === 'hold') return { ...state, pause: { sinceMs: atMs, kind: 'hold' } }
  const run = countedRun(here.doing)
  if (!run) return { ...state, pause: { sinceMs: atMs, kind: 'wait' } }
  const round = roundAt(run, atMs - state.startedMs + state.skippedMs)
  return {
    ...enter(plan, state, state.index, atMs),
    skippedMs: atTick(run, round * run.length),
    natural: { blockId: here.blockId, lengthMs: naturalAgainMs },
    pause: { sinceMs: atMs, kind: 'breath' },
  }
}

function resume(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  if (!state.pause) return state
  const pauses = [...state.pauses, { fromMs: state.pause.sinceMs, toMs: atMs }]
  const on = { ...state, pause: null, pauses }
  const here = segmentOf(plan, state)
  if (state.pause.kind !== 'hold' || !here || plan.over[here.blockId] === undefined) return on
  return { ...on, overRounds: roundsKept(plan, state, atMs).overRounds, overFromMs: atMs + naturalAgainMs }
}

/** While paused in a hold: it ends now, with the time they stayed. */
function theyComeOut(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  if (state.pause?.kind !== 'hold') return state
  const out = { ...roundsKept(plan, state, atMs), pause: null, overFromMs: atMs }
  return endAt(plan, state, out, partEnd(plan, state.index), atMs)
}

/** Half a minute more: of this hold and so of the other side, or of natural breath after counted work. */
function stay(plan: LeadPlan, state: LeadState): LeadState {
  const here = segmentOf(plan, state)
  if (state.natural && isTrailing(plan, state)) {
    return { ...state, natural: { ...state.natural, lengthMs: state.natural.lengthMs + stayMs } }
  }
  if (!here) return state
  const longer = (indices: readonly number[]) => ({
    ...state,
    lengths: indices.reduce((lengths, index) => lengths.with(index, lengthOf(state, index) + stayMs), state.lengths),
  })
  const rest = restAfter(plan, here)
  if (rest !== 'none') return rest === undefined ? state : longer([rest])
  const mirror = secondsOf(plan, here.blockId).find(({ mirrors }) => mirrors === state.index)
  return keepCounting(plan, state, longer(mirror ? [state.index, mirror.index] : [state.index]))
}

/**
 * Where counted work takes more time, since no round is ever added: the natural breath at the end of a section, the rest
 * after a movement. A movement without one has nowhere to stay; a hold and all else take it themselves.
 */
function restAfter(plan: LeadPlan, { index, doing }: LeadSegment): number | 'none' | undefined {
  if (doing.kind === 'breath') return sectionEnd(plan, index) - 1
  if (doing.kind !== 'movement') return 'none'
  return plan.segments
    .slice(index, blockEnd(plan, index))
    .find((later) => later.doing.kind === 'movement' && !isCounted(later))?.index
}

/** A longer hold takes more rounds of the breath over it: nobody is taken up in the middle of one. */
function keepCounting(plan: LeadPlan, before: LeadState, after: LeadState): LeadState {
  if (breathNow(plan, before) || !breathNow(plan, after)) return after
  return { ...after, quietUntilMs: nextInhaleMs(plan, after) }
}

/** A hold to its coming out, counted rounds to the end of their section, all else to the next segment. */
function end(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  const here = segmentOf(plan, state)
  if (state.pause || (!here && !state.natural)) return state
  if (!here || isTrailing(plan, state)) return endAt(plan, state, state, state.index, atMs)
  return endAt(plan, state, state, isWhole(here) ? partEnd(plan, state.index) : state.index + 1, atMs)
}

function endAt(plan: LeadPlan, before: LeadState, now: LeadState, to: number, atMs: Milliseconds): LeadState {
  const { beforeEnd } = before
  const still = beforeEnd && atMs - beforeEnd.atMs <= soonMs ? beforeEnd : null
  const next: LeadState = {
    ...enter(plan, now, to, atMs),
    beforeEnd: { state: { ...before, beforeEnd: still }, atMs },
  }
  return to >= plan.segments.length ? { ...next, phase: 'ended' } : next
}

/** On a second side that was stopped at its cap: as long as the first after all. */
function match(plan: LeadPlan, state: LeadState): LeadState {
  const here = segmentOf(plan, state)
  const { capped } = state
  if (!here || here.doing.kind !== 'hold' || here.mirrors === undefined || capped?.blockId !== here.blockId)
    return state
  const side = plan.segments.slice(partStart(plan, state.index), partEnd(plan, state.index))
  const now = side.reduce((sum, { index }) => sum + lengthOf(state, index), 0)
  const lengths = state.lengths.with(state.index, lengthOf(state, state.index) + Math.max(0, capped.fullMs - now))
  return { ...state, lengths, capped: null }
}

function leave(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  const closed = enter(plan, { ...state, pause: null }, plan.segments.length, atMs)
  return { ...closed, phase: 'ended', left: true, beforeEnd: null }
}

/** After a long gap: the class went on by itself, so its time did. */
function wentOn(plan: LeadPlan, state: LeadState, atMs: Milliseconds): LeadState {
  if (state.pause?.kind !== 'asking') return state
  const run = advance(plan, { ...state, pause: null, nowMs: state.pause.sinceMs }, atMs)
  return run.phase === 'ended' ? run : { ...run, quietUntilMs: nextInhaleMs(plan, run) }
}

/** After a long gap: the class stopped when the gap began. */
function stoppedThen(plan: LeadPlan, state: LeadState): LeadState {
  if (state.pause?.kind !== 'asking') return state
  const { sinceMs } = state.pause
  return { ...leave(plan, { ...state, nowMs: sinceMs }, sinceMs), nowMs: sinceMs }
}
