import type { Cue } from '#model/cue'
import type { Side } from '#model/common'
import { sideParts, storeSideText } from '#core/session'
import type { Rule } from '../rule.ts'

/** The first side that a cue names in plain words; undefined where it names none, or only by a token. */
const plainSide = ({ text = '' }: Cue, side: Side): string | undefined =>
  sideParts(text, side).find((part) => part.kind === 'side' && !part.bound)?.text

/** A cue that names a side in plain words is said on both sides alike: on one of them it is the wrong one. */
export const wrongSideSaid: Rule<'WRONG_SIDE_SAID'> = {
  code: 'WRONG_SIDE_SAID',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap(({ id, hold }) => {
      if (hold.sides.length < 2) return []
      const first = hold.sides[0]?.side === 'right' ? 'right' : 'left'
      const cue = hold.cues.find((one) => plainSide(one, first) !== undefined)
      if (!cue) return []
      const text = cue.text ?? ''
      const mended = hold.cues.map((one): Cue => (one === cue ? { ...one, text: storeSideText('', text, first) } : one))
      const edits = [{ type: 'replace', block: { ...hold.block, cues: mended } } as const]
      return [{ blockId: id, facts: { said: plainSide(cue, first) ?? '', text }, mend: { by: 'edits', edits } }]
    }),
}
