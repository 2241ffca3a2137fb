import { listedCautions, practisedIn } from '#core/cautions'
import { freeId, indexOfBlock, stopWords, wordingOf } from '#core/session'
import type { Look, Rule } from '../rule.ts'

/** Words by which cautions are said at all; a condition's own name counts too. */
const speaksOfThem =
  /\b(cautions?|stop signs?|complaints?|injur(?:y|ies|ed)|conditions?|pregnan(?:t|cy)|doctors?|tell me (?:of|about|if|when|before)|pain|pains|painful|tingl(?:e|es|ing)|numb|numbness|surger(?:y|ies)|operat(?:ion|ions|ed)|blood pressure)\b/i
/** Time to say a few cautions in [estimate]. */
const talkS = 60

/**
 * Poses that are to be avoided with some conditions, and nothing said about that before the first of them
 * [handbook: the caution comes when the group is already in the pose]. One finding for the session.
 */
export const cautionsUnsaid: Rule<'CAUTIONS_UNSAID'> = {
  code: 'CAUTIONS_UNSAID',
  grade: 'look',
  find: (look) => {
    const cautioned = look.blocks.filter((block) => avoids(look, block).length > 0)
    const [first] = cautioned
    if (!first || isSaidBefore(look, first.index)) return []
    const block = {
      kind: 'talk',
      id: freeId('cautions', look.session.blocks),
      title: 'Cautions',
      text: `Tell me of any complaint. ${stopWords[wordingOf(look.session.wording).stop]}`,
      s: talkS,
    } as const
    const edits = [{ type: 'insert', at: indexOfBlock(look.session, first.block.id), block } as const]
    return [
      {
        blockId: first.block.id,
        facts: { blocks: cautioned.length, conditions: avoids(look, first).join(' ') },
        mend: { by: 'edits', edits },
      },
    ]
  },
}

/** Ids of the conditions with which a block is to be avoided, beyond what holds for every shape. */
function avoids({ book }: Look, block: Look['blocks'][number]): string[] {
  const practised = practisedIn(block)
  if (!practised || block.kind === 'closing') return []
  const rules = listedCautions(practised, book).own.filter(({ grade }) => grade === 'avoid')
  return [...new Set(rules.flatMap(({ conditions }) => conditions))]
}

const isSaidBefore = ({ blocks, session }: Look, index: number): boolean =>
  speaksOfThem.test(session.blocks[index]?.note ?? '') ||
  blocks
    .slice(0, index)
    .some((block) => block.kind === 'talk' && speaksOfThem.test(`${block.block.title} ${block.block.text ?? ''}`))
