import type { Milliseconds } from '#core/units'
import { acts } from './acts.ts'
import { advance } from './advance.ts'
import { undoEnd } from './back.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadEffect, LeadEvent, LeadInput, LeadState } from './lead-state.ts'
import { nextInhaleMs } from './next-inhale.ts'
import { planNow } from './plan-now.ts'
import { refitted } from './refit/refitted.ts'
import { elapsedInPart, lengthOf } from './run.ts'

/** The same key within this is one press [decisions]. */
const sameKeyMs = 400
/** A gap longer than this is asked about; a shorter one is only a reload. */
const askedGapMs = 60_000

export const beginLead = (plan: LeadPlan): LeadState => ({
  phase: plan.segments.length === 0 ? 'ended' : 'running',
  nowMs: 0,
  index: 0,
  startedMs: 0,
  skippedMs: 0,
  waits: plan.segments[0]?.waits === true,
  pauses: [],
  grown: [],
  natural: null,
  lengths: plan.segments.map(({ lengthMs }) => lengthMs),
  set: plan.segments.map(({ lengthMs }) => lengthMs),
  order: null,
  leaves: [],
  promisedMs: null,
  saidEndMs: null,
  pause: null,
  visits: [],
  rung: {},
  bells: 0,
  quietUntilMs: 0,
  overFromMs: 0,
  overRounds: 0,
  freely: [],
  counting: 'all',
  stoppedMs: null,
  capped: null,
  beforeEnd: null,
  pressed: {},
  left: false,
})

type Stepped = [LeadState, readonly LeadEffect[]]

const nothing: readonly LeadEffect[] = []
const saved: readonly LeadEffect[] = [{ type: 'save' }, { type: 'schedule' }]

/**
 * The machine: the state after an event, and what the driver has to do. Events come in order of time; one from the past
 * counts as now. The same state object comes back when nothing changed. While "What happened?" is asked only its
 * answers and leaving act; a class that is over takes nothing but the undoing of its last End.
 */
export function step(planned: LeadPlan, state: LeadState, input: LeadInput): Stepped {
  const plan = planNow(planned, state)
  const atMs = Math.max(input.atMs, state.nowMs)
  if (state.phase === 'ended') return input.type === 'back' ? undone(plan, state, atMs) : [state, nothing]
  if (state.pause?.kind === 'asking') return answered(plan, state, input, atMs)
  if (input.type === 'gap') return gap(plan, state, input.seenMs, atMs)
  const run = advance(plan, state, atMs)
  // A second side has taken the first's real time: what was scheduled for it no longer holds.
  const moved: readonly LeadEffect[] = run.lengths === state.lengths ? nothing : [{ type: 'schedule' }]
  if (run.phase === 'ended') return [run, [...moved, { type: 'ended' }, { type: 'save' }]]
  if (input.type === 'tick' || isRepeat(state, input.type, atMs)) return [run, moved]
  const done = doneBy(plan, run, input, atMs)
  if (done === run && !told.has(input.type)) return [run, moved]
  const key = keys[input.type]
  const kept = growing(plan, run, done)
  const next = key === undefined ? kept : { ...kept, pressed: { ...kept.pressed, [key]: atMs } }
  return [next, effectsOf(input.type, run, next)]
}

function doneBy(
  plan: LeadPlan,
  run: LeadState,
  input: Exclude<LeadEvent, { type: 'gap' }>,
  atMs: Milliseconds,
): LeadState {
  if (input.type === 'refit') return refitted(plan, run, input)
  if (input.type === 'promised') return { ...run, promisedMs: input.endMs }
  return acts[input.type](plan, run, atMs)
}

/** What is added to the part that runs is kept with how far it was: what was said by then is not said again. */
function growing(plan: LeadPlan, before: LeadState, after: LeadState): LeadState {
  const byMs = lengthOf(after, after.index) - lengthOf(before, before.index)
  if (after.index !== before.index || after.startedMs !== before.startedMs || byMs <= 0) return after
  return { ...after, grown: [...after.grown, { elapsedMs: elapsedInPart(plan, after), byMs }] }
}

/** Which key or button an event comes from: what it means differs, that it was pressed twice does not. */
const keys: Partial<Record<LeadEvent['type'], string>> = {
  pause: 'space',
  resume: 'space',
  end: 'right',
  theyComeOut: 'right',
  back: 'left',
  stay: 'plus',
  match: 'enter',
  settled: 'enter',
  freely: 'o',
  stopCard: 'x',
  countAgain: 'c',
  mark: 'm',
  bell: 'b',
  cameLate: 'n',
}

function isRepeat({ pressed }: LeadState, type: LeadEvent['type'], atMs: Milliseconds): boolean {
  const before = pressed[keys[type] ?? '']
  return before !== undefined && atMs - before < sameKeyMs
}

/** What is told though it changes nothing in the class. */
const told: ReadonlySet<LeadEvent['type']> = new Set(['mark', 'bell', 'missed', 'anchor', 'stopCard', 'cameLate'])

const unscheduled: ReadonlySet<LeadEvent['type']> = new Set(['mark', 'bell', 'missed', 'anchor', 'cameLate'])

function effectsOf(type: LeadEvent['type'], before: LeadState, after: LeadState): LeadEffect[] {
  return [
    { type: 'save' },
    ...(type === 'bell' ? [{ type: 'sound', sound: { kind: 'bowl', strokes: 1 } } as const] : []),
    ...(type === 'stopCard' ? [{ type: 'showStopCard' } as const] : []),
    ...(unscheduled.has(type) ? [] : [{ type: 'schedule' } as const]),
    ...(after.phase === 'ended' && before.phase === 'running' ? [{ type: 'ended' } as const] : []),
  ]
}

function undone(plan: LeadPlan, state: LeadState, atMs: Milliseconds): Stepped {
  const before = undoEnd(plan, state, atMs)
  return before ? [before, saved] : [state, nothing]
}

function answered(plan: LeadPlan, state: LeadState, { type }: LeadInput, atMs: Milliseconds): Stepped {
  if (type === 'tick') return atMs === state.nowMs ? [state, nothing] : [{ ...state, nowMs: atMs }, nothing]
  if (type !== 'wentOn' && type !== 'stoppedThen' && type !== 'leave') return [state, nothing]
  // Whoever leaves without an answer leaves where the class was last seen.
  const next = acts[type === 'leave' ? 'stoppedThen' : type](plan, { ...state, nowMs: atMs }, atMs)
  return [next, next.phase === 'ended' ? [...saved, { type: 'ended' }] : saved]
}

/**
 * The page was away from the last instant it saw until `atMs`. After a long gap nothing goes on until the teacher has
 * said what happened; after a short one counting waits for the next inhale. A pause goes on through it.
 */
function gap(plan: LeadPlan, state: LeadState, seenMs: Milliseconds, atMs: Milliseconds): Stepped {
  const seen = advance(plan, state, Math.min(seenMs, atMs))
  if (seen.phase === 'running' && !seen.pause && atMs - seen.nowMs > askedGapMs) {
    return [{ ...seen, pause: { sinceMs: seen.nowMs, kind: 'asking' }, nowMs: atMs }, saved]
  }
  const run = advance(plan, seen, atMs)
  if (run.phase === 'ended') return [run, [...saved, { type: 'ended' }]]
  return [{ ...run, quietUntilMs: nextInhaleMs(plan, run) }, saved]
}
