import type { Rule } from '../rule.ts'

/** The session takes longer than the length it is to fill. */
export const doesNotFit: Rule<'DOES_NOT_FIT'> = {
  code: 'DOES_NOT_FIT',
  grade: 'must',
  find: ({ session, timeline }) => {
    const overS = Math.ceil(timeline.totalMs / 1000) - session.lengthS
    return overS > 0 ? [{ facts: { overS, lengthS: session.lengthS }, mend: { by: 'fit' } }] : []
  },
}
