import type { Milliseconds } from '#core/units'
import { countedRun, partsBetween } from './counted-run.ts'
import type { CountedRun } from './counted-run.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { currentLane, laneRun } from './over-lane.ts'
import { planNow } from './plan-now.ts'
import { ahead, currentEndMs } from './run.ts'

/** A straight stretch of the breath line: lung fill from 0 (empty) to 1 (full) over class time. */
export interface BreathStretch {
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly from: number
  readonly to: number
}

/** Where natural breath is drawn: a level line a little above empty, since nobody counts it. */
const naturalFill = 0.3

interface Window {
  readonly fromMs: Milliseconds
  readonly toMs: Milliseconds
}

/** The counted breath around now as stretches that touch `[fromMs, toMs)`, what is past and what is planned. */
export function breathLine(
  planned: LeadPlan,
  state: LeadState,
  fromMs: Milliseconds,
  toMs: Milliseconds,
): BreathStretch[] {
  const plan = planNow(planned, state)
  const shown = { fromMs, toMs }
  const lane = currentLane(plan, state)
  if (lane) return [...drawn(laneRun(lane), lane.fromMs, Infinity, shown)]
  return [...past(plan, state, shown), ...coming(plan, state, shown)].filter(
    ({ startMs, endMs }) => endMs > fromMs && startMs < toMs,
  )
}

const natural = (startMs: Milliseconds, endMs: Milliseconds): BreathStretch => ({
  startMs,
  endMs,
  from: naturalFill,
  to: naturalFill,
})

/** A counted run whose first round began at `zeroMs`, until it was broken off or ends; natural where nobody counts. */
function* drawn(
  run: CountedRun | undefined,
  zeroMs: Milliseconds,
  untilMs: Milliseconds,
  { fromMs, toMs }: Window,
): Generator<BreathStretch> {
  if (!run) return
  for (const part of partsBetween(run, fromMs - zeroMs, Math.min(toMs, untilMs) - zeroMs)) {
    const [from, to] = part.fill
    const [startMs, wholeMs] = [zeroMs + part.startMs, zeroMs + part.endMs]
    const endMs = Math.min(wholeMs, untilMs)
    yield { startMs, endMs, from, to: from + ((to - from) * (endMs - startMs)) / (wholeMs - startMs) }
  }
}

const seenVisits = 12

function* past(plan: LeadPlan, state: LeadState, shown: Window): Generator<BreathStretch> {
  for (const { segment, startMs, endMs } of state.visits.slice(-seenVisits)) {
    const doing = plan.segments[segment ?? -1]?.doing
    if (segment !== null && doing?.kind !== 'breath') continue
    const run = doing && countedRun(doing)
    // A visit of a counted run begins with a whole round.
    if (run) yield* drawn(run, startMs, endMs, shown)
    else yield natural(startMs, endMs)
  }
}

function* coming(plan: LeadPlan, state: LeadState, shown: Window): Generator<BreathStretch> {
  if (state.natural) yield natural(state.startedMs, currentEndMs(state))
  for (const { segment, startMs, endMs, skippedMs } of ahead(plan, state)) {
    if (startMs >= shown.toMs || segment.doing.kind !== 'breath') return
    const run = countedRun(segment.doing)
    if (run) yield* drawn(run, startMs - skippedMs, endMs, { ...shown, fromMs: Math.max(shown.fromMs, startMs) })
    else if (endMs > startMs) yield natural(startMs, endMs)
  }
}
