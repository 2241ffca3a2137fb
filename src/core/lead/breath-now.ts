import { boundaryMs, roundHalfCounts, roundParts } from '#core/breath'
import type { BreathPart } from '#core/breath'
import type { Milliseconds } from '#core/units'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { overLane } from './over-lane.ts'
import { currentEndMs, heldMs, holdEnd, holdStart, isCounted, lengthOf, segmentOf } from './run.ts'

/** A counted breath at an instant: which part, which count of how many, which round. */
export interface BreathNow {
  readonly part: BreathPart
  readonly count: number
  readonly counts: number
  readonly round: number
  readonly rounds: number
  /** When this part began and ends. */
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
}

/** The breath that is counted now; undefined in natural breath, in pauses, and until counting comes back. */
export function breathNow(plan: LeadPlan, state: LeadState): BreathNow | undefined {
  const here = segmentOf(plan, state)
  if (!here || state.phase === 'ended' || state.pause || state.natural || state.nowMs < state.quietUntilMs)
    return undefined
  if (here.doing.kind === 'hold') return overNow(plan, state)
  if (here.doing.kind !== 'breath' || !isCounted(here)) return undefined
  const { part, counts, round, set } = here.doing
  if (part === 'natural' || part === 'rest') return undefined
  const endMs = currentEndMs(state)
  const share = (state.nowMs - state.startedMs) / (endMs - state.startedMs)
  const rounds = Math.max(
    ...plan.segments
      .slice(holdStart(plan, state.index), holdEnd(plan, state.index))
      .map(({ doing }) => (doing.kind === 'breath' && doing.set === set ? doing.round : 0)),
  )
  return { part, counts, round, rounds, count: countAt(share, counts), startMs: state.startedMs, endMs }
}

const countAt = (share: number, counts: number): number => Math.min(Math.ceil(counts), Math.floor(share * counts) + 1)

function overNow(plan: LeadPlan, state: LeadState): BreathNow | undefined {
  const start = state.overFromMs === null ? holdStart(plan, state.index) : state.index
  const startMs = state.startedMs - betweenMs(state, start)
  const endMs = start === state.index ? currentEndMs(state) : startMs + lengthOf(state, start)
  const lane = overLane(plan, state, start, startMs, endMs)
  if (!lane || state.nowMs < lane.fromMs) return undefined
  const { pattern, pace } = lane.over
  const roundMs = (roundHalfCounts(pattern) * pace.num) / (2 * pace.den)
  const round = Math.floor((state.nowMs - lane.fromMs) / roundMs) + 1
  if (round > lane.rounds) return undefined
  const parts = roundParts(pattern, 1, (round - 1) * roundHalfCounts(pattern))
  for (const { part, from, to } of parts) {
    const partStartMs = lane.fromMs + boundaryMs(from, pace)
    const partEndMs = lane.fromMs + boundaryMs(to, pace)
    if (state.nowMs >= partEndMs) continue
    const counts = (to - from) / 2
    const share = (state.nowMs - partStartMs) / (partEndMs - partStartMs)
    return {
      part,
      counts,
      round,
      rounds: lane.rounds,
      count: countAt(Math.max(0, share), counts),
      startMs: partStartMs,
      endMs: partEndMs,
    }
  }
  return undefined
}

/** Real time already spent in the earlier phases of this hold side. */
function betweenMs(state: LeadState, start: number): Milliseconds {
  let sum = 0
  for (let index = start; index < state.index; index += 1) sum += heldMs(state, index)
  return sum
}
