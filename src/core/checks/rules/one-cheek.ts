import { freeId } from '../free-id.ts'
import { ownCues } from '../own-cues.ts'
import type { Rule } from '../rule.ts'

/** A hold long enough for one cheek to be too much [handbook: the head turned to one cheek for many minutes]. */
const longS = 180
/** More than half of the hold on one cheek, and a little for the words. */
const mostShare = 0.55

const turns = /\b(turn|other (cheek|way|side)|second cheek)\b/i
const ofTheHead = /\b(head|cheek|face|nose|chin|gaze|other way)\b/i

/** The head stays on one cheek for more than half of a long hold. */
export const oneCheek: Rule<'ONE_CHEEK'> = {
  code: 'ONE_CHEEK',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap((held) => {
      const [first] = held.sides
      if (!first || held.hold.pose.head.turned !== 'half time' || first.holdS < longS) return []
      const turnsAt = ownCues(held)
        .filter(
          ({ held: side, cue }) =>
            side === first && cue.text !== undefined && turns.test(cue.text) && ofTheHead.test(cue.text),
        )
        .map(({ cue }) => cue.atMs)
      const marks = [first.startMs, ...turnsAt, first.endMs]
      const longestMs = Math.max(...marks.slice(1).map((at, index) => at - (marks[index] ?? at)))
      if (longestMs <= (first.endMs - first.startMs) * mostShare) return []
      const cue = { id: freeId('turn', held.hold.cues), at: { share: 0.5 }, text: 'Turn the head the other way' }
      const block = { ...held.hold.block, cues: [...held.hold.cues, cue] }
      return [
        {
          blockId: held.id,
          facts: { cheekS: Math.round(longestMs / 1000), holdS: first.holdS },
          mend: { by: 'edits', edits: [{ type: 'replace', block }] },
        },
      ]
    }),
}
