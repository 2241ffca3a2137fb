import type { FoundHere, Rule } from '../rule.ts'

/** As many each-side shapes in a row as directions [estimate, after "more than three of one direction"]. */
const most = 3
/** A rest this long in a symmetric shape answers them [handbook: rebounds from 30 s]. */
const restS = 30

/** More than three each-side holds in a row, with no symmetric shape or rest between to level them. */
export const asymmetryUnanswered: Rule<'ASYMMETRY_UNANSWERED'> = {
  code: 'ASYMMETRY_UNANSWERED',
  grade: 'look',
  find: ({ blocks }) => {
    const found: FoundHere<'ASYMMETRY_UNANSWERED'>[] = []
    let count = 0
    for (const block of blocks) {
      if (block.kind === 'talk') continue
      const isEachSide = block.kind === 'hold' && block.sides.length > 1
      count = isEachSide ? count + 1 : 0
      if (count === most + 1) found.push({ blockId: block.block.id, facts: { count } })
      if (isEachSide && block.times.afterRestS.value >= restS) count = 0
    }
    return found
  },
}
