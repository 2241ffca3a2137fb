import { ownWords } from '../own-cues.ts'
import type { Rule } from '../rule.ts'

/** The last minute of a hold [handbook: no planned change in the last minute]. */
const lastMs = 60_000

/** Words that change a support: something is done with a prop. */
const changesSupport =
  /\b(take|slide|pull|push|bring|add|remove|lower|lift|swap|change|put|move)\b[^.;]*\b(bolster|blanket|block|pillow|strap|chair|belt|roll|support|prop)s?\b/i

/** A phase that begins, or a support that is changed, in the last minute of a hold. */
export const lateChange: Rule<'LATE_CHANGE'> = {
  code: 'LATE_CHANGE',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap((held) => {
      const [first] = held.sides
      if (!first) return []
      const lateFrom = first.endMs - lastMs
      const phase = first.segments.find(
        ({ startMs, index }) => startMs > lateFrom && index !== first.segments[0]?.index,
      )
      const cue = ownWords(held).find((one) => one.cue.atMs > one.held.endMs - lastMs && changesSupport.test(one.text))
      if (!phase && !cue) return []
      const atMs = phase?.startMs ?? cue?.cue.atMs ?? first.endMs
      const end = phase ? first.endMs : (cue?.held.endMs ?? first.endMs)
      return [
        {
          blockId: held.id,
          atMs,
          facts: { leftS: Math.round((end - atMs) / 1000), what: phase ? 'phase' : 'support' },
        },
      ]
    }),
}
