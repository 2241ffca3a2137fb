import type { Person } from '#model/person'
import { heldPastStage, sectionFindings } from '#core/breath'
import type { Stage } from '#core/breath'
import { countedBeside } from '#core/session'
import type { Resolved } from '#core/session'

/** The stage of somebody of whom none is noted [breath book 5]. */
const usualStage: Stage = 2
const stages: readonly Stage[] = [1, 2, 3, 4, 5, 6]
const first: Stage = 1

type Past = 'HOLD_PAST_STAGE' | 'STROKES_PAST_STAGE'

function isPast(block: Resolved, stage: Stage, codes: readonly Past[]): boolean {
  const beside = countedBeside(block)
  const found = beside
    ? heldPastStage(beside, stage)
    : block.kind === 'breath'
      ? block.sections.flatMap((section) => sectionFindings(section, { stage, level: 'experienced' }))
      : []
  return found.some(({ code, grade }) => grade === 'must' && codes.some((one) => one === code))
}

/** Whether what is held or pumped in a block is past somebody's stage of the breath ladder [breath book 5]. */
export const isPastStage = (block: Resolved, { breathStage }: Pick<Person, 'breathStage'>): boolean =>
  isPast(block, stages.find((stage) => stage === breathStage) ?? usualStage, ['HOLD_PAST_STAGE', 'STROKES_PAST_STAGE'])

/** Whether any breath is held in a block. */
export const holdsBreath = (block: Resolved): boolean => isPast(block, first, ['HOLD_PAST_STAGE'])
