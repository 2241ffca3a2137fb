import { ownWords } from '../own-cues.ts'
import { saidSeconds } from '../said-times.ts'
import type { Rule } from '../rule.ts'

/** A number that is said may be off by this, or by a tenth of it, before it is another one [estimate]. */
const toleranceS = 5
const toleranceShare = 0.1

/** A cue announces another time than the plan has left from there. */
export const otherTimeSaid: Rule<'OTHER_TIME_SAID'> = {
  code: 'OTHER_TIME_SAID',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap((held) => {
      const found = ownWords(held)
        .map(({ held: side, cue, text }) => ({
          cue,
          text,
          leftS: Math.round((side.endMs - cue.atMs) / 1000),
          saidS: saidSeconds(text),
        }))
        .find(
          ({ leftS, saidS }) =>
            saidS !== undefined && Math.abs(saidS - leftS) > Math.max(toleranceS, saidS * toleranceShare),
        )
      if (found?.saidS === undefined) return []
      return [
        { blockId: held.id, atMs: found.cue.atMs, facts: { saidS: found.saidS, leftS: found.leftS, text: found.text } },
      ]
    }),
}
