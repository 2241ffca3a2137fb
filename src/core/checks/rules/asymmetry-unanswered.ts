import type { Resolved } from '#core/session'
import type { FoundHere, Mend, Rule } from '../rule.ts'

/** As many each-side shapes in a row as directions [estimate, after "more than three of one direction"]. */
const most = 3
/** A rest this long in a symmetric shape answers them [handbook: rebounds from 30 s]. */
const restS = 30

/** Half a minute of rest after a hold. */
const restAfter = (hold: Resolved | undefined): { readonly mend?: Mend } => {
  if (hold?.kind !== 'hold') return {}
  const block = { ...hold.block, times: { ...hold.block.times, afterRestS: restS } }
  return { mend: { by: 'edits', edits: [{ type: 'replace', block }] } }
}

/** More than three each-side holds in a row, with no symmetric shape or rest between to level them. */
export const asymmetryUnanswered: Rule<'ASYMMETRY_UNANSWERED'> = {
  code: 'ASYMMETRY_UNANSWERED',
  grade: 'look',
  find: ({ blocks }) => {
    const found: FoundHere<'ASYMMETRY_UNANSWERED'>[] = []
    let count = 0
    let before: Resolved | undefined
    for (const block of blocks) {
      if (block.kind === 'talk') continue
      const isEachSide = block.kind === 'hold' && block.sides.length > 1
      count = isEachSide ? count + 1 : 0
      if (count === most + 1) found.push({ blockId: block.block.id, facts: { count }, ...restAfter(before) })
      before = block
      if (isEachSide && block.times.afterRestS.value >= restS) count = 0
    }
    return found
  },
}
