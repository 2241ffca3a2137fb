import type { BasePosition } from '#model/common'
import { ownWords } from '../own-cues.ts'
import type { Rule } from '../rule.ts'

/** Words that put people into a base position: only those nothing else can be meant by. */
const words: Readonly<Partial<Record<BasePosition, RegExp>>> = {
  prone: /\b(prone|face down|on (the|your) (belly|front|stomach))\b/i,
  supine: /\b(supine|face up|on (the|your) back)\b/i,
  sideLying: /\b(side[- ]lying|(lie|lying|rest|resting) on (the|your) side)\b/i,
  standing: /\b(standing|stand up|on (the|your) feet)\b/i,
  kneeling: /\bkneeling\b/i,
  allFours: /\b(all fours|hands and knees)\b/i,
}

/** A cue in a hold that names another base position than people are in. */
export const wrongPositionSaid: Rule<'WRONG_POSITION_SAID'> = {
  code: 'WRONG_POSITION_SAID',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap((held) => {
      const { enter, leave } = held.hold.pose.base
      const found = ownWords(held).flatMap(({ cue, text }) =>
        (Object.entries(words) as [BasePosition, RegExp][])
          .filter(([position, pattern]) => position !== enter && position !== leave && pattern.test(text))
          .map(([position]) => ({ cue, text, position })),
      )[0]
      if (!found) return []
      return [{ blockId: held.id, atMs: found.cue.atMs, facts: { said: found.position, is: enter, text: found.text } }]
    }),
}
