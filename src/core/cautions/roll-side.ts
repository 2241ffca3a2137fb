import type { Answers } from '#model/answers'
import type { Side } from '#model/common'
import { otherSide } from '#core/session'
import type { Flag } from './flags.ts'

export interface Roll {
  readonly side: Side | 'either'
  /** The conditions that decide; none means the school does. */
  readonly by: readonly string[]
}

const leftward = ['preg_t2', 'preg_t3', 'preg_highrisk', 'reflux']
/** The side that hurts, or that sets the spinning off, is turned away from. */
const awayFrom = ['hip_groin', 'hip_replacement', 'shoulder', 'vertigo']

/**
 * The side to roll to out of lying: left in later pregnancy and with reflux, the sound side with hip or
 * shoulder, away from the side that sets vertigo off; else as the school says [reference 5]. Reasons that
 * pull apart leave it to the person.
 */
export function rollSide(flags: readonly Flag[], school: Answers['roll']): Roll {
  const reasons = flags.flatMap(({ id, side }): { id: string; side: Side }[] => {
    if (leftward.includes(id)) return [{ id, side: 'left' }]
    if (awayFrom.includes(id) && side !== undefined && side !== 'both') return [{ id, side: otherSide(side) }]
    return []
  })
  const sides = new Set(reasons.map(({ side }) => side))
  const by = reasons.map(({ id }) => id)
  if (sides.size > 1) return { side: 'either', by }
  const [only] = sides
  return { side: only ?? school, by }
}
