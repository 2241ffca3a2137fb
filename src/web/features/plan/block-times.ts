import type { Block } from '#model/block'
import type { RoundsSection, Section } from '#model/section'
import { blockLimits, breathLimits, holdLimits } from '#model/limits'
import type { SecondsRange } from '#model/limits'
import type { ResolvedRounds, ResolvedSection } from '#core/breath'
import { holdSecondsOf, leastHoldOf, mainSection, setHoldSide, withSection } from '#core/session'
import type { Resolved, ResolvedBreath } from '#core/session'

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

/** The section a block is about, stepped: its time, its rounds, or how often. */
function steppedBreath({ block, sections }: ResolvedBreath, step: Step): Block {
  const at = mainSection(block.sections)
  const [section, resolved] = [block.sections[at], sections[at]]
  if (!section || !resolved) return block
  const timed = timedSection(section, resolved)
  if (timed) return withSection(block, at, timed.withS(step(timed.s, blockLimits)))
  if (section.kind === 'rounds' && resolved.kind === 'rounds')
    return withSection(block, at, { ...section, ...steppedAmount(section, resolved, step) })
  if (section.kind === 'retention')
    return withSection(block, at, {
      ...section,
      times: Math.min(breathLimits.sets, steppedRounds(section.times, step)),
    })
  if (section.kind === 'strokes')
    return withSection(block, at, {
      ...section,
      rounds: Math.min(breathLimits.sets, steppedRounds(section.rounds, step)),
    })
  return block
}

function steppedAmount(section: RoundsSection, { sets }: ResolvedRounds, step: Step): Pick<RoundsSection, 'amount'> {
  const { amount } = section
  if (section.stations) return {}
  if (amount && 'rounds' in amount) return { amount: { ...amount, rounds: steppedRounds(amount.rounds, step) } }
  const usual = { sets: sets.length, roundsPerSet: sets[0]?.rounds ?? 1 }
  const { roundsPerSet, ...more } = amount && 'sets' in amount ? amount : usual
  return { amount: { ...more, roundsPerSet: steppedRounds(roundsPerSet, step) } }
}

/** A section whose time is said in seconds, and the same with another. */
interface TimedSection {
  readonly s: number
  readonly withS: (s: number) => Section
}

function timedSection(section: Section, resolved: ResolvedSection): TimedSection | undefined {
  if (section.kind === 'rounds') {
    const { amount, techniqueId, id, seat, say } = section
    if (amount && 'fillS' in amount)
      return { s: amount.fillS, withS: (fillS) => ({ ...section, amount: { ...amount, fillS } }) }
    if (resolved.kind !== 'natural') return undefined
    const kept = { id, techniqueId, ...(seat ? { seat } : {}), ...(say === undefined ? {} : { say }) }
    return { s: Math.round(resolved.lengthMs / 1000), withS: (s) => ({ kind: 'natural', ...kept, s }) }
  }
  if (section.kind !== 'natural' && section.kind !== 'lesson') return undefined
  const { s, breaths: _, breathS: __, ...kept } = section
  if (s === undefined) return undefined
  return { s, withS: (other) => ({ ...kept, s: other }) }
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
  return resolved.kind === 'breath' ? drawnSection(resolved)?.timed.s : undefined
}

/** The section whose time the edge of a breath block is: the one it is about, where that has a time. */
function drawnSection({ block, sections }: ResolvedBreath): { at: number; timed: TimedSection } | undefined {
  const at = mainSection(block.sections)
  const [section, resolved] = [block.sections[at], sections[at]]
  const timed = section && resolved && timedSection(section, resolved)
  return timed && { at, timed }
}

/** The block with the time its lower edge was drawn to; undefined where it has none. */
export function timedBlock(resolved: Resolved, seconds: number): Block | undefined {
  switch (resolved.kind) {
    case 'talk':
    case 'rest':
      return { ...resolved.block, s: seconds }
    case 'closing':
      return { ...resolved.block, finalRestS: seconds }
    case 'breath': {
      const drawn = drawnSection(resolved)
      return drawn && withSection(resolved.block, drawn.at, drawn.timed.withS(seconds))
    }
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
