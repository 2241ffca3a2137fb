import type { Cue } from '#model/cue'
import { storeSideText } from '#core/session'
import type { Rule } from '../rule.ts'

const plainSide = /\b(left|right)\b/i

/** A cue that names a side in plain words is said on both sides alike: on one of them it is the wrong one. */
export const wrongSideSaid: Rule<'WRONG_SIDE_SAID'> = {
  code: 'WRONG_SIDE_SAID',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap(({ id, hold }) => {
      if (hold.sides.length < 2) return []
      const first = hold.sides[0]?.side === 'right' ? 'right' : 'left'
      const cue = hold.cues.find(({ text }) => text !== undefined && plainSide.test(text))
      if (!cue) return []
      const mended = hold.cues.map((one): Cue =>
        one === cue ? { ...one, text: storeSideText('', one.text ?? '', first) } : one,
      )
      const edits = [{ type: 'replace', block: { ...hold.block, cues: mended } } as const]
      return [
        {
          blockId: id,
          facts: { said: plainSide.exec(cue.text ?? '')?.[0] ?? '', text: cue.text ?? '' },
          mend: { by: 'edits', edits },
        },
      ]
    }),
}
