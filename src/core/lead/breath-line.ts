import { boundaryMs, roundParts } from '#core/breath'
import type { Milliseconds } from '#core/units'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { overLane } from './over-lane.ts'
import { ahead, currentEndMs, segmentOf } from './run.ts'

/** A straight stretch of the breath line: lung fill from 0 (empty) to 1 (full) over class time. */
export interface BreathStretch {
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly from: number
  readonly to: number
}

/** Where natural breath is drawn: a level line a little above empty, since nobody counts it. */
const naturalFill = 0.3

const fills = { in: [0, 1], full: [1, 1], out: [1, 0], empty: [0, 0] } as const

/** The counted breath around now as stretches that touch `[fromMs, toMs)`, what is past and what is planned. */
export function breathLine(
  plan: LeadPlan,
  state: LeadState,
  fromMs: Milliseconds,
  toMs: Milliseconds,
): BreathStretch[] {
  const here = segmentOf(plan, state)
  const all =
    here?.doing.kind === 'hold'
      ? overStretches(plan, state)
      : [...pastStretches(plan, state), ...comingStretches(plan, state, toMs)]
  return all.filter(({ startMs, endMs }) => endMs > fromMs && startMs < toMs)
}

function stretch(part: string, startMs: Milliseconds, endMs: Milliseconds): BreathStretch {
  const [from, to] = fills[part as keyof typeof fills] ?? [naturalFill, naturalFill]
  return { startMs, endMs, from, to }
}

function pastStretches(plan: LeadPlan, state: LeadState): BreathStretch[] {
  return state.visits.slice(-12).flatMap(({ segment, startMs, endMs }) => {
    const doing = plan.segments[segment ?? -1]?.doing
    if (segment !== null && doing?.kind !== 'breath') return []
    return [stretch(doing?.kind === 'breath' ? doing.part : 'natural', startMs, endMs)]
  })
}

function comingStretches(plan: LeadPlan, state: LeadState, toMs: Milliseconds): BreathStretch[] {
  const made: BreathStretch[] = state.natural ? [stretch('natural', state.startedMs, currentEndMs(state))] : []
  for (const { segment, startMs, endMs } of ahead(plan, state)) {
    if (startMs >= toMs || segment.doing.kind !== 'breath') break
    if (endMs > startMs) made.push(stretch(segment.doing.part, startMs, endMs))
  }
  return made
}

function overStretches(plan: LeadPlan, state: LeadState): BreathStretch[] {
  const lane = overLane(plan, state, state.index, state.startedMs, currentEndMs(state))
  if (!lane) return []
  const { pattern, pace } = lane.over
  return roundParts(pattern, lane.rounds).map(({ part, from, to }) =>
    stretch(part, lane.fromMs + boundaryMs(from, pace), lane.fromMs + boundaryMs(to, pace)),
  )
}
