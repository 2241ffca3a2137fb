import type { Answers, SomeAnswers } from '#model/answers'
import type { Block, HoldBlock, MovementBlock } from '#model/block'
import type { BasePosition } from '#model/common'
import type { Session } from '#model/session'
import type { TimeName } from '#model/times'
import type { Wording } from '#model/wording'
import type { Catalog } from './catalog.ts'
import { atLevel, learnedKey } from './learned.ts'
import type { Sourced, Stillness } from './resolved.ts'
import { timedScript } from './script.ts'
import type { TimedScript } from './script.ts'
import { stillnessWords } from './wordings.ts'

/** What is known while walking through a session from its start. */
export interface Walk {
  readonly session: Session
  readonly catalog: Catalog
  readonly school: Answers
  /** The base position people are in; undefined until the first block that has one. */
  readonly position: BasePosition | undefined
  /** How the words are said that no setting removes. */
  readonly wording: Wording
  /** Positions in which people have been told how to be still. */
  readonly stillIn: ReadonlySet<BasePosition>
  /** Each-side poses so far, for schools that alternate the first side. */
  readonly sided: number
}

/** The script of a block, as fast as the teacher speaks. */
export const scriptOf = (
  { script }: Pick<Extract<Block, { kind: 'talk' | 'hold' | 'rest' | 'closing' }>, 'script'>,
  { catalog, session }: Walk,
): TimedScript | undefined => script && timedScript(script, catalog.wordsAMinute ?? learnedPace(catalog, session))

/** Words a minute as led talks taught; undefined where they did not. */
function learnedPace({ learned }: Catalog, { level }: Session): number | undefined {
  const hundredS = learned.get(atLevel(learnedKey.pace, level))
  return hundredS === undefined || hundredS === 0 ? undefined : 6000 / hundredS
}

type Moving = Exclude<Block, { kind: 'talk' }>

/** The time of a block that the document may set, else the fallback with its source. */
export function timeOf<T extends Sourced<number> | undefined>(
  block: Moving,
  walk: Walk,
  name: TimeName,
  fallback: T,
): Sourced<number> | T {
  const own = block.times?.[name]
  if (own !== undefined) return { value: own, from: 'block' }
  const general = walk.session.times?.[name]
  if (general !== undefined) return { value: general, from: 'session' }
  return fallback
}

/** What a block says of the change into it: the document's time, else its own pose's. */
export const changeTo = (block: Moving, walk: Walk, toPosition: BasePosition, known?: Sourced<number>) => ({
  toPosition,
  change: { set: timeOf(block, walk, 'changeS', known) },
})

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

/** How stillness is told in a position: in full the first time, in short after that. */
export function stillnessIn(walk: Walk, position: BasePosition): Stillness {
  const { full, short } = stillnessWords[walk.wording.stillness]
  return { first: walk.stillIn.has(position) ? short : full, again: short }
}
