import { saysCount } from '../said-times.ts'
import type { FoundHere, Look, Rule } from '../rule.ts'

/** Words that say a breath is held; with a number of counts they announce it. */
const saysHeld = /\b(hold|held|retain|retention|stay full|stay empty)\b/i
const announces = (text: string): boolean => saysHeld.test(text) && saysCount(text)

/** A breath that is held without its length being said before [handbook: a retention is announced with its length]. */
export const retentionUnannounced: Rule<'RETENTION_UNANNOUNCED'> = {
  code: 'RETENTION_UNANNOUNCED',
  grade: 'must',
  find: (look) => look.blocks.flatMap((block) => foundIn(look, block.block.id)),
}

function foundIn({ timeline }: Look, blockId: string): FoundHere<'RETENTION_UNANNOUNCED'>[] {
  const over = timeline.breathOver.find(
    (part) => part.blockId === blockId && (part.part === 'full' || part.part === 'empty'),
  )
  const inBlock = timeline.segments.find(
    ({ blockId: id, doing }) =>
      id === blockId &&
      ((doing.kind === 'breath' && (doing.part === 'full' || doing.part === 'empty')) ||
        (doing.kind === 'movement' && doing.part === 'retention')),
  )
  const first = over ?? inBlock
  if (!first) return []
  const isSaid = timeline.cues.some(
    (cue) => cue.blockId === blockId && cue.atMs <= first.startMs && cue.text !== undefined && announces(cue.text),
  )
  if (isSaid) return []
  return [{ blockId, atMs: first.startMs, facts: { heldS: Math.round((first.endMs - first.startMs) / 1000) } }]
}
