import type { Answers } from '#model/answers'

/** Stands in a pose's steps out where one rolls out of lying; the answer puts its side in. */
export const rollToken = '{roll}'

/** The roll as it is said. It always leaves the side free [decisions]. */
const said: Readonly<Record<Answers['roll'], string>> = {
  either: 'roll to one side, or the side you prefer',
  left: 'roll to the left, or the side you prefer',
  right: 'roll to the right, or the side you prefer',
}

/** A step out as it is said with an answer. */
export const sayRoll = (step: string, roll: Answers['roll']): string => step.replaceAll(rollToken, said[roll])

/** A step out as it is kept: the roll that leaves both sides open becomes the token. */
export const keepRoll = (step: string): string => step.replaceAll(said.either, rollToken)
