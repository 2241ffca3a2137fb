import type { Pace, Pattern } from '#model/breath'
import { breathTimeLimits, composedMostS } from '#model/limits'
import type { Refusal } from '#model/refusal'
import { boundaryMs, roundHalfCounts, roundsThatFit, sectionMs } from '#core/breath'
import type { ResolvedSection } from '#core/breath'
import { msFromS } from '#core/units'
import type { Milliseconds } from '#core/units'
import type { Resolved, ResolvedBreath, ResolvedHold, ResolvedMovement } from './resolved.ts'

/**
 * What in a session is past what may be laid out [settled, B25]: rounds and their parts too long or too
 * short, too many rounds in a block, more than four hours in all. By arithmetic alone, so that a small document that
 * would come to millions of stretches costs no more than any other.
 */
export function pastLimits(blocks: readonly Resolved[]): Refusal[] {
  const inBlocks = blocks.flatMap((block) => pastIn(block))
  if (inBlocks.length > 0) return inBlocks
  const leastMs = blocks.reduce((sum, block) => sum + atLeastMs(block), 0)
  return leastMs > msFromS(composedMostS) ? [composedLong(leastMs)] : []
}

/** The refusal of a session whose blocks come to more than may be composed. */
export const composedLong = (isMs: Milliseconds): Refusal => ({
  code: 'COMPOSED_LONG',
  path: 'blocks',
  facts: { isS: Math.ceil(isMs / 1000), mostS: composedMostS },
})

function pastIn(block: Resolved): Refusal[] {
  const path = `blocks[${String(block.index)}]`
  if (block.kind === 'breath') return pastInBreath(path, block)
  if (block.kind === 'hold' && block.breathOver) {
    const { pattern, pace } = block.breathOver
    return [
      ...pastInRound(`${path}.breathOver`, pattern, pace),
      ...manyRounds(`${path}.breathOver.rounds`, roundsOver(block)),
    ]
  }
  return block.kind === 'movement' ? manyRounds(`${path}.rounds`, block.rounds * block.sides.length) : []
}

function pastInBreath(path: string, { sections }: ResolvedBreath): Refusal[] {
  const past = sections.flatMap((section, at) => pastInSection(`${path}.sections[${String(at)}]`, section))
  if (past.length > 0) return past
  const all = sections.reduce((sum, section) => sum + roundsOf(section), 0)
  return manyRounds(sections.length === 1 ? `${path}.sections[0].amount` : `${path}.sections`, all)
}

function pastInSection(path: string, section: ResolvedSection): Refusal[] {
  if (section.kind === 'rounds') {
    const { pace, steps, sets, pattern } = section
    const patterns = [pattern, ...new Set(sets.map((set) => set.pattern))]
    return [
      ...(patterns.map((one) => pastInRound(path, one, pace)).find((past) => past.length > 0) ?? []),
      ...(steps ? longHeld(`${path}.steps.pauseHalf`, boundaryMs(steps.pauseHalf, pace)) : []),
    ]
  }
  if (section.kind !== 'retention') return []
  const { half, lead } = section.section
  const { inOrOutMostMs } = breathTimeLimits
  const long = (['in', 'out'] as const).flatMap((part): Refusal[] => {
    const isMs = boundaryMs(lead[part], section.pace)
    const facts = { isS: isMs / 1000, mostS: inOrOutMostMs / 1000 }
    return isMs > inOrOutMostMs ? [{ code: 'BREATH_LONG', path: `${path}.lead.${part}`, facts }] : []
  })
  return [...long, ...longHeld(`${path}.half`, boundaryMs(half, section.pace))]
}

function longHeld(path: string, isMs: Milliseconds): Refusal[] {
  const { retentionMostMs } = breathTimeLimits
  const facts = { isS: isMs / 1000, mostS: retentionMostMs / 1000 }
  return isMs > retentionMostMs ? [{ code: 'RETENTION_LONG', path, facts }] : []
}

function pastInRound(path: string, pattern: Pattern, pace: Pace): Refusal[] {
  const { roundMs, inOrOutMostMs, retentionMostMs } = breathTimeLimits
  const lengthMs = (halfCounts: number) => boundaryMs(halfCounts, pace)
  const round = lengthMs(roundHalfCounts(pattern))
  const long = (part: keyof Pattern, mostMs: Milliseconds, code: 'BREATH_LONG' | 'RETENTION_LONG'): Refusal[] =>
    lengthMs(pattern[part]) > mostMs
      ? [
          {
            code,
            path: `${path}.pattern.${part}`,
            facts: { isS: lengthMs(pattern[part]) / 1000, mostS: mostMs / 1000 },
          },
        ]
      : []
  return [
    ...long('in', inOrOutMostMs, 'BREATH_LONG'),
    ...long('out', inOrOutMostMs, 'BREATH_LONG'),
    ...long('full', retentionMostMs, 'RETENTION_LONG'),
    ...long('empty', retentionMostMs, 'RETENTION_LONG'),
    ...(round < roundMs.least || round > roundMs.most
      ? [
          {
            code: 'ROUND_LENGTH',
            path: `${path}.pattern`,
            facts: { isS: round / 1000, leastS: roundMs.least / 1000, mostS: roundMs.most / 1000 },
          } as const,
        ]
      : []),
  ]
}

const manyRounds = (path: string, is: number): Refusal[] =>
  is > breathTimeLimits.rounds ? [{ code: 'ROUNDS_MANY', path, facts: { is, most: breathTimeLimits.rounds } }] : []

/** Rounds of a section, of whatever it counts. */
function roundsOf(section: ResolvedSection): number {
  switch (section.kind) {
    case 'natural':
    case 'lesson':
    case 'uncounted':
      return 0
    case 'rounds':
      return section.sets.reduce((sum, { rounds }) => sum + rounds, 0)
    case 'retention':
      return section.section.times
    case 'strokes':
      return section.section.rounds
  }
}

/** Rounds over all sides of a hold. */
function roundsOver({ breathOver, sides }: ResolvedHold): number {
  if (!breathOver) return 0
  const { pattern, pace, rounds } = breathOver
  return sides.reduce((sum, { holdS }) => {
    const most = roundsThatFit(msFromS(holdS), pattern, pace)
    return sum + Math.min(rounds ?? most, most)
  }, 0)
}

/** What a block takes at the least: without what lies around it. */
function atLeastMs(block: Resolved): Milliseconds {
  switch (block.kind) {
    case 'talk':
    case 'rest':
      return msFromS(block.block.s)
    case 'hold':
      return block.sides.reduce((sum, { holdS }) => sum + msFromS(holdS), 0)
    case 'movement':
      return movementMs(block)
    case 'breath':
      return breathMs(block)
    case 'closing':
      return msFromS(block.finalRestS.value)
  }
}

function movementMs({ movement, rounds, sides, pace }: ResolvedMovement): Milliseconds {
  const halfCounts = movement.parts.reduce((sum, part) => sum + part.halfCounts, 0)
  return sides.length * boundaryMs(rounds * halfCounts, pace)
}

const breathMs = ({ sections }: ResolvedBreath): Milliseconds =>
  sections.reduce((sum, section) => sum + sectionMs(section), 0)
