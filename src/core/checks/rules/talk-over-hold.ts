import { ownWords } from '../own-cues.ts'
import type { Rule } from '../rule.ts'

/** Words inside a held breath, other than its count: over a hold they are the teacher's own [breath book 5]. */
export const talkOverHold: Rule<'TALK_OVER_HOLD'> = {
  code: 'TALK_OVER_HOLD',
  grade: 'look',
  find: ({ holds, timeline }) =>
    holds.flatMap((held) => {
      const unbreathed = timeline.breathOver.filter(
        ({ blockId, part }) => blockId === held.id && (part === 'full' || part === 'empty'),
      )
      const said = ownWords(held).find(({ cue }) =>
        unbreathed.some(({ startMs, endMs }) => cue.atMs >= startMs && cue.atMs < endMs),
      )
      return said ? [{ blockId: held.id, atMs: said.cue.atMs, facts: { text: said.text } }] : []
    }),
}
