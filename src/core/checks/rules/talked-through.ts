import { quietShare, saidIn } from '../quiet.ts'
import type { Rule } from '../rule.ts'

/** Teachers want most of a hold quiet: more than a third of it said is too much [issue of the findings; handbook, quiet]. */
const leastQuiet = 2 / 3

/** More than a third of a hold is talked through. */
export const talkedThrough: Rule<'TALKED_THROUGH'> = {
  code: 'TALKED_THROUGH',
  grade: 'look',
  find: ({ holds }) =>
    holds.flatMap(({ id, sides }) => {
      const loudest = sides.toSorted((a, b) => quietShare(a) - quietShare(b))[0]
      if (!loudest || quietShare(loudest) >= leastQuiet) return []
      return [
        {
          blockId: id,
          facts: { saidS: saidIn(loudest), holdS: loudest.holdS, percent: Math.round((1 - quietShare(loudest)) * 100) },
        },
      ]
    }),
}
