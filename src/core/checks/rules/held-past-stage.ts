import { heldPastStage } from '#core/breath'
import { countedBeside } from '#core/session'
import type { Resolved } from '#core/session'
import { stageOf } from '../breath-look.ts'
import { foundInSections, withPart } from '../section-look.ts'
import type { FoundHere, Look, Mend, Rule } from '../rule.ts'

/** A breath held past the stage, in breath work, over a hold or in a movement [breath book 5]. */
export const holdPastStage: Rule<'HOLD_PAST_STAGE'> = {
  code: 'HOLD_PAST_STAGE',
  grade: 'must',
  find: (look) => [
    ...foundInSections(look, 'HOLD_PAST_STAGE', (section, { held }, resolved) =>
      held === 'pause' ? undefined : withPart(section, resolved, { [held]: 0 }),
    ),
    ...heldElsewhere(look),
  ],
}

function heldElsewhere(look: Look): FoundHere<'HOLD_PAST_STAGE'>[] {
  return look.blocks.flatMap((block) => {
    const counted = countedBeside(block)
    const found = counted ? heldPastStage(counted, stageOf(look)) : []
    const worst = found.find(({ grade }) => grade === 'must') ?? found[0]
    if (!worst) return []
    const { grade, facts } = worst
    const mend = mendOf(block)
    return [{ blockId: block.block.id, grade, facts: { ...facts, section: 0 }, ...(mend ? { mend } : {}) }]
  })
}

/** Over a hold the breath can be counted without its retentions; a movement is as it is. */
function mendOf(block: Resolved): Mend | undefined {
  if (block.kind !== 'hold' || !block.breathOver || !block.block.breathOver) return undefined
  const pattern = { ...block.breathOver.pattern, full: 0, empty: 0 }
  return {
    by: 'edits',
    edits: [{ type: 'replace', block: { ...block.block, breathOver: { ...block.block.breathOver, pattern } } }],
  }
}
