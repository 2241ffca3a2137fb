import type { Block } from '#model/block'
import { blockLimits, breathLimits, holdLimits } from '#model/limits'
import type { SecondsRange } from '#model/limits'
import { holdSecondsOf, leastHoldOf, setHoldSide } from '#core/session'
import type { Resolved } from '#core/session'

/** From a time to the next one that can be said, within what the kind of block may last. */
type Step = (seconds: number, limits: SecondsRange) => number

/** One round more or one less, as the step goes. */
const steppedRounds = (rounds: number, step: Step): number =>
  Math.min(breathLimits.rounds, Math.max(1, rounds + Math.sign(step(60, holdLimits) - 60)))

/** The block with its time stepped, by its kind; undefined where it has no time of its own. */
export function steppedBlock(resolved: Resolved, step: Step, side: 'left' | 'right' | undefined): Block | undefined {
  switch (resolved.kind) {
    case 'talk':
    case 'rest':
      return { ...resolved.block, s: step(resolved.block.s, blockLimits) }
    case 'closing':
      return { ...resolved.block, finalRestS: step(resolved.finalRestS.value, blockLimits) }
    case 'breath':
      return steppedBreath(resolved, step)
    case 'movement':
      return { ...resolved.block, rounds: steppedRounds(resolved.rounds, step) }
    case 'hold':
      return steppedHold(resolved, step, side)
  }
}

function steppedBreath({ block, amount }: Extract<Resolved, { kind: 'breath' }>, step: Step): Block {
  if ('naturalS' in amount) return { ...block, amount: { naturalS: step(amount.naturalS, blockLimits) } }
  if ('fillS' in amount) return { ...block, amount: { ...amount, fillS: step(amount.fillS, blockLimits) } }
  return { ...block, amount: { ...amount, roundsPerSet: steppedRounds(amount.roundsPerSet, step) } }
}

function steppedHold(
  resolved: Extract<Resolved, { kind: 'hold' }>,
  step: Step,
  side: 'left' | 'right' | undefined,
): Block {
  const { block, sides } = resolved
  const secondsOn = (which: 'left' | 'right') =>
    sides.find((held) => held.side === which || held.side === 'both')?.holdS ?? 0
  const linked = !block.hold || 'holdS' in block.hold
  if (side && sides.length > 1) {
    const hold = block.hold ?? { holdS: secondsOn('left') }
    return { ...block, hold: setHoldSide(hold, side, step(secondsOn(side), holdLimits)) }
  }
  if (linked) return { ...block, hold: { holdS: step(secondsOn('left'), holdLimits) } }
  const hold = setHoldSide(block.hold ?? { holdS: 0 }, 'left', step(secondsOn('left'), holdLimits))
  return { ...block, hold: setHoldSide(hold, 'right', step(secondsOn('right'), holdLimits)) }
}

/** Between which times a block's lower edge can be drawn. */
export const drawnLimits = ({ kind }: Resolved): SecondsRange => (kind === 'hold' ? holdLimits : blockLimits)

/** Where a wing's lower edge can be drawn, the time it stands for; else undefined. */
export function drawnSeconds(resolved: Resolved): number | undefined {
  if (resolved.kind === 'hold') return Math.max(...resolved.sides.map(({ holdS }) => holdS))
  if (resolved.kind === 'talk' || resolved.kind === 'rest') return resolved.block.s
  if (resolved.kind === 'closing') return resolved.finalRestS.value
  if (resolved.kind !== 'breath') return undefined
  return 'naturalS' in resolved.amount
    ? resolved.amount.naturalS
    : 'fillS' in resolved.amount
      ? resolved.amount.fillS
      : undefined
}

/** The block with the time its lower edge was drawn to; undefined where it has none. */
export function timedBlock(resolved: Resolved, seconds: number): Block | undefined {
  switch (resolved.kind) {
    case 'talk':
    case 'rest':
      return { ...resolved.block, s: seconds }
    case 'closing':
      return { ...resolved.block, finalRestS: seconds }
    case 'breath':
      if ('naturalS' in resolved.amount) return { ...resolved.block, amount: { naturalS: seconds } }
      return 'fillS' in resolved.amount
        ? { ...resolved.block, amount: { ...resolved.amount, fillS: seconds } }
        : undefined
    case 'hold': {
      const { hold } = resolved.block
      if (!hold || 'holdS' in hold) return { ...resolved.block, hold: { holdS: seconds } }
      // Sides that were unlinked keep what lies between them.
      const by = seconds - holdSecondsOf(hold, 'both')
      return {
        ...resolved.block,
        hold: { ...hold, leftS: Math.max(5, hold.leftS + by), rightS: Math.max(5, hold.rightS + by) },
      }
    }
    case 'movement':
      return undefined
  }
}

/** The block with its hold no shorter than its phases need; the same object where there is room. */
export function withRoomForPhases(block: Block): Block {
  if (block.kind !== 'hold' || !block.hold || !block.phases) return block
  const { hold } = block
  const least = leastHoldOf(block.phases)
  if ('holdS' in hold) return hold.holdS >= least ? block : { ...block, hold: { holdS: least } }
  if (Math.min(hold.leftS, hold.rightS) >= least) return block
  return { ...block, hold: { ...hold, leftS: Math.max(least, hold.leftS), rightS: Math.max(least, hold.rightS) } }
}
