import { ownWords } from '../own-cues.ts'
import type { Rule } from '../rule.ts'

const lastPose = /\b(last|final) (pose|shape|posture|hold|one)\b/i
const lastSide = /\b(last|second) side\b/i

/** A cue that says "last" in a hold that is not: another hold follows, or the side is said on both. */
export const lastNotLast: Rule<'LAST_NOT_LAST'> = {
  code: 'LAST_NOT_LAST',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap((held, at) => {
      const left = holds.length - 1 - at
      const found = ownWords(held).find(
        ({ text }) => (lastPose.test(text) && left > 0) || (lastSide.test(text) && held.sides.length > 1),
      )
      return found ? [{ blockId: held.id, atMs: found.cue.atMs, facts: { text: found.text, left } }] : []
    }),
}
