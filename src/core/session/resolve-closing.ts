import type { ClosingBlock } from '#model/block'
import type { Level } from '#model/common'
import type { Seconds } from '#core/units'
import { answersOf, changeTo } from './walk.ts'
import type { Walk } from './walk.ts'
import type { ResolvedClosing, Sourced } from './resolved.ts'

/** First ceilings of the final rest by level, in seconds [cautions reference 2.1, final_rest]. */
export const finalRestCeilingS: Readonly<Record<Level, Seconds>> = { new: 480, regular: 720, experienced: 1200 }
const leastFinalRestS = 180

/** Seconds of the coming up: 2:00 in all [decisions: the closing's least]. */
const comingUp = { comingOutS: 30, rollS: 45, sittingUpS: 45 } as const

/** Floor of the final rest: a tenth of the length rounded down to 30 s, at least 3:00, at most its ceiling. */
export function finalRestFloorS(lengthS: Seconds, level: Level): Seconds {
  const tenth = Math.floor(lengthS / 10 / 30) * 30
  return Math.min(finalRestCeilingS[level], Math.max(leastFinalRestS, tenth))
}

export function resolveClosing(block: ClosingBlock, index: number, walk: Walk): ResolvedClosing {
  const { lengthS, level } = walk.session
  const step = (own: Seconds | undefined, usual: Seconds): Sourced<Seconds> =>
    own === undefined ? { value: usual, from: 'rule' } : { value: own, from: 'block' }
  return {
    kind: 'closing',
    block,
    index,
    ...changeTo(block, walk, 'supine'),
    finalRestS: step(block.finalRestS, finalRestFloorS(lengthS, level)),
    comingOutS: step(block.comingOutS, comingUp.comingOutS),
    rollS: step(block.rollS, comingUp.rollS),
    sittingUpS: step(block.sittingUpS, comingUp.sittingUpS),
    answers: answersOf(block, walk),
  }
}
