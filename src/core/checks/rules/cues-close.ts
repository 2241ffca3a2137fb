import { ownCues } from '../own-cues.ts'
import type { Rule } from '../rule.ts'

/** Two cues closer than this are one too many [decisions, phases and cues]. */
const leastMs = 10_000

/** Two cues within ten seconds of each other in one hold. */
export const cuesClose: Rule<'CUES_CLOSE'> = {
  code: 'CUES_CLOSE',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap((held) => {
      const [first] = held.sides
      const cues = ownCues(held)
        .filter(({ held: side }) => side === first)
        .map(({ cue }) => cue)
      const at = cues.findIndex((cue, index) => index > 0 && cue.atMs - (cues[index - 1]?.atMs ?? -Infinity) < leastMs)
      const [later, former] = [cues[at], cues[at - 1]]
      if (!later || !former) return []
      return [
        {
          blockId: held.id,
          atMs: later.atMs,
          facts: {
            gapS: Math.round((later.atMs - former.atMs) / 1000),
            first: former.text ?? '',
            second: later.text ?? '',
          },
        },
      ]
    }),
}
