import type { Answers } from '#model/answers'
import type { ClosingBlock, RestBlock } from '#model/block'
import type { Seconds } from '#core/units'
import { familyCeilingS } from './ceilings.ts'
import { setUpOf } from './set-up-of.ts'
import { answersOf, changeTo, scriptOf, stillnessIn } from './walk.ts'
import type { Walk } from './walk.ts'
import { rollWords } from './wordings.ts'
import type { ComingUp, ResolvedClosing, Sourced } from './resolved.ts'

const leastFinalRestS = 180

/** Seconds of the coming up: 2:00 in all [decisions: the closing's least]. */
export const usualComingUp = { comingOutS: 30, rollS: 45, sittingUpS: 45 } as const

/** Floor of the final rest: a tenth of the length rounded down to 30 s, at least 3:00, at most its ceiling. */
export function finalRestFloorS(lengthS: Seconds, ceilingS: Seconds): Seconds {
  const tenth = Math.floor(lengthS / 10 / 30) * 30
  return Math.min(ceilingS, Math.max(leastFinalRestS, tenth))
}

const step = (own: Seconds | undefined, usual: Seconds): Sourced<Seconds> =>
  own === undefined ? { value: usual, from: 'rule' } : { value: own, from: 'block' }

/** Coming out, the roll and sitting up after lying still, at the end of a session or of a rest in its middle. */
export function comingUpOf(own: RestBlock['ending'], roll: Answers['roll'], walk: Walk): ComingUp {
  return {
    comingOutS: step(own?.comingOutS, usualComingUp.comingOutS),
    rollS: step(own?.rollS, usualComingUp.rollS),
    sittingUpS: step(own?.sittingUpS, usualComingUp.sittingUpS),
    rollText: rollWords[walk.wording.roll][roll],
  }
}

export function resolveClosing(block: ClosingBlock, index: number, walk: Walk): ResolvedClosing {
  const { lengthS, level } = walk.session
  const ceilingS = familyCeilingS(walk.catalog.ceilings, 'final_rest', level)
  const answers = answersOf(block, walk)
  return {
    kind: 'closing',
    block,
    index,
    ...changeTo(block, walk, 'supine'),
    finalRestS: step(block.finalRestS, finalRestFloorS(lengthS, ceilingS)),
    ceilingS,
    setUp: setUpOf(block, walk.catalog, walk.session),
    ...comingUpOf(block, answers.roll, walk),
    answers,
    ...{ stillness: stillnessIn(walk, 'supine'), script: scriptOf(block, walk) },
  }
}
