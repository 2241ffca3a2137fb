import type { Answers, SomeAnswers } from '#model/answers'
import type { Block, HoldBlock, MovementBlock } from '#model/block'
import type { BasePosition } from '#model/common'
import type { Session } from '#model/session'
import type { TimeName } from '#model/times'
import type { Catalog } from './catalog.ts'
import type { Sourced } from './resolved.ts'

/** What is known while walking through a session from its start. */
export interface Walk {
  readonly session: Session
  readonly catalog: Catalog
  readonly school: Answers
  /** The base position people are in; undefined until the first block that has one. */
  readonly position: BasePosition | undefined
  /** Each-side poses so far, for schools that alternate the first side. */
  readonly sided: number
}

type Moving = Exclude<Block, { kind: 'talk' }>

/** The time of a block that the document may set, else the fallback with its source. */
export function timeOf<T extends Sourced<number>>(
  block: Moving,
  walk: Walk,
  name: TimeName,
  fallback: T,
): Sourced<number> {
  const own = block.times?.[name]
  if (own !== undefined) return { value: own, from: 'block' }
  const general = walk.session.times?.[name]
  if (general !== undefined) return { value: general, from: 'session' }
  return fallback
}

const nothingToFetch: Sourced<number> = { value: 0, from: 'shipped' }

/**
 * The change before a block: the document's time, else what led classes taught, else the longer of the
 * base-position table (none from nowhere) and what it takes to fetch what the block needs.
 */
export function changeTo(block: Moving, walk: Walk, toPosition: BasePosition, fetchingS = nothingToFetch) {
  const fromPosition = walk.position
  const value = fromPosition === undefined ? 0 : walk.catalog.changes[fromPosition][toPosition]
  const stands = fetchingS.from === 'learned' || fetchingS.value > value
  const longer: Sourced<number> = stands ? fetchingS : { value, from: 'position' }
  return { fromPosition, toPosition, changeS: timeOf(block, walk, 'changeS', longer) }
}

/** The answers that hold for a block: its own, the session's, the own pose's, the school's. */
export function answersOf(block: Moving, walk: Walk, ofPose: SomeAnswers = {}): Answers {
  return { ...walk.school, ...ofPose, ...walk.session.answers, ...block.answers }
}

/** The order of sides by the answer: left, right, or alternating with each pose that has sides. */
export function sideOrder(block: HoldBlock | MovementBlock, walk: Walk, answers: Answers) {
  const alternate = walk.sided % 2 === 0 ? 'left' : 'right'
  const first = block.firstSide ?? (answers.firstSide === 'alternate' ? alternate : answers.firstSide)
  return first === 'left' ? (['left', 'right'] as const) : (['right', 'left'] as const)
}
