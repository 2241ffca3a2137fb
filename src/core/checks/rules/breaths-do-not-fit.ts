import { ownWords } from '../own-cues.ts'
import { saidBreaths } from '../said-times.ts'
import type { Rule } from '../rule.ts'

/** A breath of a resting person [decisions: 6 s a breath]. */
const breathS = 6

/** A little over is not worth a word [estimate]. */
const toleranceS = 5

/** A cue promises more breaths than there is time for. */
export const breathsDoNotFit: Rule<'BREATHS_DO_NOT_FIT'> = {
  code: 'BREATHS_DO_NOT_FIT',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap((held) => {
      const found = ownWords(held)
        .map(({ held: side, cue, text }) => ({
          cue,
          text,
          leftS: Math.round((side.endMs - cue.atMs) / 1000),
          breaths: saidBreaths(text),
        }))
        .find(({ leftS, breaths }) => breaths !== undefined && breaths * breathS > leftS + toleranceS)
      if (found?.breaths === undefined) return []
      return [
        {
          blockId: held.id,
          atMs: found.cue.atMs,
          facts: { breaths: found.breaths, needS: found.breaths * breathS, leftS: found.leftS, text: found.text },
        },
      ]
    }),
}
