import type { Answers } from '#model/answers'
import type { Wording } from '#model/wording'
import { rollWords } from './wordings.ts'

/** Stands in a pose's steps out where one rolls out of lying; the answer puts its side in. */
export const rollToken = '{roll}'

/** A step out as it is said with an answer. */
export const sayRoll = (step: string, roll: Answers['roll'], wording: Wording['roll'] = 'roll'): string =>
  step.replaceAll(rollToken, rollWords[wording][roll])

/** A step out as it is kept: the roll that leaves both sides open becomes the token. */
export const keepRoll = (step: string): string => step.replaceAll(rollWords.roll.either, rollToken)
