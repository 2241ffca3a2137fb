import type { Block } from '#model/block'
import { leastHoldOf } from '#core/session'
import { formatDuration, stepDown, stepUp } from '#core/units'
import { blockName, blockTimeWords } from '#words/blocks'
import { steppedBlock, timedBlock, withRoomForPhases } from '../block-times.ts'
import { nothing, resolvedOf } from './plan-state.ts'
import type { Outcome, PlanState } from './plan-state.ts'

/** A block as it is set; a hold is never shorter than its phases, which it says where it would have been. */
export function replace(
  _state: PlanState,
  { block, words }: { readonly block: Block; readonly words: string },
): Outcome {
  const roomy = withRoomForPhases(block)
  const step = { edits: [{ type: 'replace', block: roomy } as const], words }
  if (roomy === block || roomy.kind !== 'hold') return { step }
  const least = formatDuration(leastHoldOf(roomy.phases ?? []))
  return { step, says: `Its phases need ${least}: the hold keeps at least that.` }
}

/** One step longer or shorter; with a side, that side alone, which unlinks the two and says so. */
export function stepTime(
  state: PlanState,
  { id, longer, side }: { readonly id: string; readonly longer: boolean; readonly side?: 'left' | 'right' | undefined },
): Outcome {
  const resolved = resolvedOf(state, id)
  const next = resolved && steppedBlock(resolved, longer ? stepUp : stepDown, side)
  if (!resolved || !next) return nothing
  const name = blockName(resolved)
  const done = replace(state, { block: next, words: `${longer ? 'lengthen' : 'shorten'} ${name}` })
  const [replaced] = done.step?.edits ?? []
  const time = replaced?.type === 'replace' ? blockTimeWords(replaced.block, side) : ''
  const apart = side === undefined ? '' : `, on the ${side} only: the sides are unlinked`
  return {
    ...done,
    says: done.says ?? `${name} ${longer ? 'longer' : 'shorter'}${time === '' ? '' : `: ${time}`}${apart}`,
  }
}

/** The time of a block as its lower edge was drawn; both sides of a hold change together. */
export function drawTime(
  state: PlanState,
  { id, seconds }: { readonly id: string; readonly seconds: number },
): Outcome {
  const resolved = resolvedOf(state, id)
  const block = resolved && timedBlock(resolved, seconds)
  if (!resolved || !block) return nothing
  const name = blockName(resolved)
  const done = replace(state, { block, words: `draw ${name} to ${formatDuration(seconds)}` })
  return { ...done, says: done.says ?? `${name} ${formatDuration(seconds)}` }
}
