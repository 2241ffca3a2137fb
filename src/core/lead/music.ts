import type { Milliseconds } from '#core/units'
import type { LeadPlan } from './lead-plan.ts'
import type { LeadState } from './lead-state.ts'
import { planNow } from './plan-now.ts'
import { ahead, segmentOf } from './run.ts'

/** Music is gone before the rest begins, over so long. */
export const musicFadeMs = 30_000

/** When music plays in a class: from its start on, gone at `toMs`, quieter and quieter from `fadeMs` on. */
export interface MusicSpan {
  readonly fadeMs: Milliseconds
  readonly toMs: Milliseconds
}

/** What the rest at the end of a class begins with: the closing's final rest, or a rest with nothing but rest after it. */
const isRest = (kind: string): boolean => kind === 'rest' || kind === 'closing'

/**
 * When music plays, by the class as it is now: it is gone when the last rest begins, which is then quiet; without a rest
 * at its end it goes with the class.
 */
export function musicSpan(planned: LeadPlan, state: LeadState): MusicSpan {
  const plan = planNow(planned, state)
  const here = segmentOf(plan, state)
  if (state.phase === 'ended' || !here) return { fadeMs: 0, toMs: 0 }
  const coming = [...ahead(plan, state)].filter(({ startMs, endMs }) => endMs > startMs)
  const rests = coming.toReversed()
  let toMs = rests[0]?.endMs ?? state.nowMs
  for (const { segment, startMs } of rests) {
    if (!isRest(segment.doing.kind)) break
    toMs = startMs
  }
  return { fadeMs: Math.max(0, toMs - musicFadeMs), toMs }
}
