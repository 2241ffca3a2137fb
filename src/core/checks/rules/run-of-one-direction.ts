import { keysOf } from '#core/units'
import type { Direction } from '#model/pose'
import type { FoundHere, Held, Rule } from '../rule.ts'

/** More than three of one direction want a counter [issue of the findings; handbook, counterpose]. */
const most = 3

/** What answers a direction; a direction without an opposite is answered by a neutral shape. */
const answers: Readonly<Partial<Record<Direction, readonly Direction[]>>> = {
  forwardFold: ['backbend'],
  backbend: ['forwardFold'],
  outwardRotation: ['inwardRotation', 'neutral'],
  inwardRotation: ['outwardRotation', 'neutral'],
  twist: ['neutral', 'forwardFold'],
  sideBend: ['neutral', 'forwardFold'],
}

/** More than three holds of one direction in a row, and nothing against it. */
export const runOfOneDirection: Rule<'RUN_OF_ONE_DIRECTION'> = {
  code: 'RUN_OF_ONE_DIRECTION',
  grade: 'look',
  find: ({ holds }) => keysOf(answers).flatMap((direction) => runsOf(direction, holds)),
}

function runsOf(direction: Direction, holds: readonly Held[]): FoundHere<'RUN_OF_ONE_DIRECTION'>[] {
  const found: FoundHere<'RUN_OF_ONE_DIRECTION'>[] = []
  let count = 0
  let former: Held | undefined
  for (const held of holds) {
    const { directions } = held.hold.pose
    const isAnswer =
      directions.some((other) => answers[direction]?.includes(other)) ||
      former?.hold.pose.counterposes.includes(held.hold.block.poseId) === true
    if (directions.includes(direction)) count += 1
    else if (isAnswer) count = 0
    if (directions.includes(direction) && count === most + 1)
      found.push({ blockId: held.id, facts: { direction, count } })
    former = held
  }
  return found
}
