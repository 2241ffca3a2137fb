import type { Milliseconds } from '#core/units'
import { breathNow, movementNow } from './breath-now.ts'
import type { BreathNow, MovementNow } from './breath-now.ts'
import type { LeadPlan, LeadSegment } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import {
  ahead,
  currentEndMs,
  isWhole,
  lengthOf,
  partEnd,
  partStart,
  projectedEndMs,
  segmentNow,
  segmentOf,
} from './run.ts'
import { planNow } from './plan-now.ts'
import { secondsOf } from './plan-index.ts'
import { capOf, expectedLengths, heldMs, plannedAlike } from './sides.ts'
import { leadInNow, saidNow } from './said-now.ts'
import { scriptNow } from './script-now.ts'
import type { ScriptNow } from './script-now.ts'
import { cueInstants } from './sounds-due.ts'
import { settling } from './waits.ts'
import type { Settling } from './waits.ts'

/** The other side of an each-side hold: what it will take, or what it took. */
export interface OtherSide {
  readonly is: 'will match' | 'keeps its own' | 'was'
  readonly ms: Milliseconds
  /** How far that is from its plan. */
  readonly moreMs: Milliseconds
  /** What matching in full would take, where the second side stops at its cap. */
  readonly cappedFromMs: Milliseconds | undefined
}

interface Running {
  readonly segment: LeadSegment
  /** Time left of this hold side, section of a breath, movement side or segment. */
  readonly leftMs: Milliseconds
  /** The next thing the teacher will say or lead, and its length. */
  readonly next: { readonly segment: LeadSegment; readonly lengthMs: Milliseconds } | undefined
  readonly endsAtMs: Milliseconds
  readonly other: OtherSide | undefined
  /** What is said sentence by sentence. */
  readonly script: ScriptNow | undefined
}

interface InHold {
  /** Time in the shape so far, pauses in it included. */
  readonly heldMs: Milliseconds
  /** How far that is past the pose's first ceiling. */
  readonly pastCeilingMs: Milliseconds
}

/** Everything a screen shows of a class at its present instant, by what it is doing. */
export type Stage =
  | (Running &
      InHold & {
        readonly is: 'holding'
        readonly nextCue: { readonly text: string; readonly inMs: Milliseconds } | undefined
        /** The breath counted over it; undefined in natural breath. */
        readonly breath: BreathNow | undefined
        readonly leadIn: 'in' | 'out' | undefined
      })
  | (Running & {
      readonly is: 'breathing'
      readonly breath: BreathNow | undefined
      /** What is said now, and the breath that leads back into counting. */
      readonly says: string | undefined
      readonly leadIn: 'in' | 'out' | undefined
    })
  | (Running & { readonly is: 'moving'; readonly movement: MovementNow | undefined })
  /** What is said in a talk now: what is asked before breath work. */
  | (Running & {
      readonly is: 'between'
      readonly says: string | undefined
      /** Before a hold that begins when all are settled. */
      readonly settling: Settling | undefined
    })
  | (Running &
      InHold & {
        readonly is: 'paused'
        readonly kind: 'hold' | 'breath' | 'wait'
        readonly pausedForMs: Milliseconds
      })
  | (Running & { readonly is: 'asking'; readonly sinceMs: Milliseconds; readonly awayMs: Milliseconds })
  | { readonly is: 'ended'; readonly ledMs: Milliseconds; readonly left: boolean }

export function stageOf(planned: LeadPlan, state: LeadState): Stage {
  const plan = planNow(planned, state)
  const segment = segmentNow(plan, state)
  if (state.phase === 'ended' || !segment) return { is: 'ended', ledMs: state.nowMs, left: state.left }
  const running: Running = {
    segment,
    leftMs: Math.max(0, partEndMs(plan, state) - state.nowMs),
    next: nextPart(plan, state),
    endsAtMs: projectedEndMs(plan, state),
    ...{ other: otherSide(plan, state, segment), script: scriptNow(plan, state) },
  }
  if (state.pause) return pausedStage(plan, state, state.pause, running)
  switch (segment.doing.kind) {
    case 'hold':
      return {
        ...running,
        ...inHold(plan, state, segment),
        is: 'holding',
        nextCue: nextCue(plan, state),
        breath: breathNow(plan, state),
        leadIn: leadInNow(plan, state),
      }
    case 'breath':
      return {
        ...running,
        is: 'breathing',
        breath: breathNow(plan, state),
        says: saidNow(plan, state),
        leadIn: leadInNow(plan, state),
      }
    case 'movement':
      return { ...running, is: 'moving', movement: movementNow(plan, state) }
    default:
      return {
        ...running,
        is: 'between',
        says: segment.doing.kind === 'talk' ? saidNow(plan, state) : undefined,
        settling: settling(plan, state),
      }
  }
}

function pausedStage(
  plan: LeadPlan,
  state: LeadState,
  { kind, sinceMs }: NonNullable<LeadState['pause']>,
  running: Running,
): Stage {
  const forMs = state.nowMs - sinceMs
  if (kind === 'asking') return { ...running, is: 'asking', sinceMs, awayMs: forMs }
  return { ...running, ...inHold(plan, state, running.segment), is: 'paused', kind, pausedForMs: forMs }
}

function inHold(plan: LeadPlan, state: LeadState, segment: LeadSegment): InHold {
  const held = heldSoFar(plan, state, segment)
  const ceilingMs = segment.doing.kind === 'hold' ? plan.ceilingMs[segment.blockId] : undefined
  return {
    heldMs: held,
    pastCeilingMs: ceilingMs === undefined ? 0 : Math.max(0, held - ceilingMs),
  }
}

function partEndMs(plan: LeadPlan, state: LeadState): Milliseconds {
  const here = segmentOf(plan, state)
  let endMs = currentEndMs(state)
  if (!here || state.natural) return endMs
  for (let index = state.index + 1; index < partEnd(plan, state.index); index += 1) endMs += lengthOf(state, index)
  return endMs
}

function heldSoFar(plan: LeadPlan, state: LeadState, segment: LeadSegment): Milliseconds {
  const here = state.natural ? 0 : state.nowMs - state.startedMs
  if (segment.doing.kind !== 'hold') return here
  let sum = here
  for (let index = partStart(plan, state.index); index < state.index; index += 1) sum += heldMs(state, index)
  return sum
}

function nextCue(plan: LeadPlan, state: LeadState): { text: string; inMs: Milliseconds } | undefined {
  const [coming] = [...cueInstants(plan, state)]
    .filter(({ cue, atMs }) => (cue.text ?? '') !== '' && atMs > state.nowMs)
    .sort((a, b) => a.atMs - b.atMs)
  return coming && { text: coming.cue.text ?? '', inMs: coming.atMs - state.nowMs }
}

function nextPart(plan: LeadPlan, state: LeadState): Running['next'] {
  const here = segmentOf(plan, state)
  if (!here) return undefined
  const from = state.natural ? state.index : isWhole(here) ? partEnd(plan, state.index) : state.index + 1
  for (const { segment, startMs, endMs } of ahead(plan, state)) {
    if (segment.index < from || endMs <= startMs) continue
    let lengthMs = endMs - startMs
    const lengths = expectedLengths(plan, state)
    for (let index = segment.index + 1; index < partEnd(plan, segment.index); index += 1)
      lengthMs += lengths[index] ?? 0
    return { segment, lengthMs }
  }
  return undefined
}

const sum = (values: readonly Milliseconds[]): Milliseconds => values.reduce((all, one) => all + one, 0)

function otherSide(plan: LeadPlan, state: LeadState, segment: LeadSegment): OtherSide | undefined {
  const seconds = secondsOf(plan, segment.blockId)
  if (seconds.length === 0 || segment.side === null || segment.side === 'both') return undefined
  const firsts = seconds.map(({ mirrors }) => mirrors ?? -1)
  if (segment.side === seconds[0]?.side) {
    const ms = sum(firsts.map((index) => heldMs(state, index)))
    const planned = sum(firsts.map((index) => plan.segments[index]?.lengthMs ?? 0))
    return {
      is: 'was',
      ms,
      moreMs: ms - planned,
      cappedFromMs: state.capped?.blockId === segment.blockId ? state.capped.fullMs : undefined,
    }
  }
  const planned = sum(seconds.map(({ lengthMs }) => lengthMs))
  const lengths = expectedLengths(plan, state)
  const ms = sum(seconds.map(({ index }) => lengths[index] ?? 0))
  if (!plannedAlike(plan, seconds)) return { is: 'keeps its own', ms, moreMs: ms - planned, cappedFromMs: undefined }
  const wholeMs = segment.doing.kind === 'hold' ? firstSideMs(plan, state, segment) : ms
  const cappedFromMs = wholeMs > capOf(plan, state, seconds) ? wholeMs : undefined
  return { is: 'will match', ms, moreMs: ms - planned, cappedFromMs }
}

/** What the first side will have been held for, if nothing more is asked. */
const firstSideMs = (plan: LeadPlan, state: LeadState, segment: LeadSegment): Milliseconds =>
  heldSoFar(plan, state, segment) + Math.max(0, partEndMs(plan, state) - state.nowMs)
