import { isWords } from '#core/timeline'
import type { Milliseconds } from '#core/units'
import { countedRun, leadInMs, partAt } from './counted-run.ts'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { currentLane, laneRun } from './over-lane.ts'
import { cuesOf } from './plan-index.ts'
import { currentEndMs, isTrailing, segmentOf } from './run.ts'
import { cueInstants } from './sounds-due.ts'

/** Words in counted breath stay in sight this long: as long before what they announce they are said [breath book 1]. */
const inSightMs = 8000

/**
 * What is said in breath work or a talk now: the words that came last, or what announces a section that is begun again.
 * Where nothing is counted words stay until the next ones.
 */
export function saidNow(plan: LeadPlan, state: LeadState): string | undefined {
  if (state.natural) return isTrailing(plan, state) ? undefined : announced(plan, state.index)
  const said = [...cueInstants(plan, state)].filter(
    ({ atMs, cue }) => atMs <= state.nowMs && state.nowMs < outOfSightMs(plan, state, atMs) && isWords(cue.text),
  )
  return said.sort((a, b) => a.atMs - b.atMs).at(-1)?.cue.text
}

/** Words in a counted breath are of the part they are said in, and go with it. */
function outOfSightMs(plan: LeadPlan, state: LeadState, saidMs: Milliseconds): Milliseconds {
  const here = segmentOf(plan, state)
  const run = here && countedRun(here.doing)
  const zeroMs = state.startedMs - state.skippedMs
  const part = run && partAt(run, saidMs - zeroMs)
  return run ? Math.min(saidMs + inSightMs, part ? zeroMs + part.endMs : Infinity) : Infinity
}

/** What is said in the quiet before a section to announce it. */
function announced(plan: LeadPlan, index: number): string | undefined {
  const before = plan.segments.slice(0, index).findLast(({ lengthMs }) => lengthMs > 0)
  if (!before || before.blockId !== plan.segments[index]?.blockId) return undefined
  return cuesOf(plan, before.index).findLast(({ offsetMs, sound }) => offsetMs > 0 && sound === undefined)?.text
}

/** What leads people back into counting: the breath they let go or take first, shown as long as a lead-in lasts. */
export function leadInNow(plan: LeadPlan, state: LeadState): 'out' | 'in' | undefined {
  const here = segmentOf(plan, state)
  if (!here || state.pause || isTrailing(plan, state)) return undefined
  const lane = currentLane(plan, state)
  const run = lane ? laneRun(lane) : countedRun(here.doing)
  const backAtMs: Milliseconds = state.natural ? currentEndMs(state) : Math.max(state.quietUntilMs, lane?.fromMs ?? 0)
  if (!run || backAtMs <= state.nowMs || backAtMs - state.nowMs > leadInMs(run)) return undefined
  return run.parts[0]?.part === 'out' ? 'in' : 'out'
}
