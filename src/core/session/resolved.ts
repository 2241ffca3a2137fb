import type { Answers } from '#model/answers'
import type { Block, BreathBlock, ClosingBlock, HoldBlock, MovementBlock, RestBlock, TalkBlock } from '#model/block'
import type { Pace, Pattern } from '#model/breath'
import type { BasePosition, Side } from '#model/common'
import type { Cue } from '#model/cue'
import type { Movement } from '#model/movement'
import type { Pose, Variant } from '#model/pose'
import type { SetUp } from '#model/set-up'
import type { Technique } from '#model/technique'
import type { TimeName } from '#model/times'
import type { ResolvedSection } from '#core/breath'
import type { Seconds } from '#core/units'
import type { TimedScript } from './script.ts'

/** Where a resolved time comes from; the first that has it wins, in this order. */
export type Source =
  'block' | 'person' | 'session' | 'own pose' | 'learned' | 'shipped' | 'position' | 'props' | 'school' | 'rule'

export interface Sourced<T> {
  readonly value: T
  readonly from: Source
}

/** A side of an each-side pose, or both for a symmetric one. */
export type HoldSide = Side | 'both'

export interface ResolvedPhase {
  readonly id: string
  readonly name: string
  readonly s: Seconds
}

export interface ResolvedBreathOver {
  readonly technique: Technique
  readonly pattern: Pattern
  readonly pace: Pace
  readonly rounds: number | undefined
  readonly countedRounds: number
}

/** What a block says of the change into it, wherever people come from; the seconds are found by `changesBetween`. */
interface WithChange {
  readonly toPosition: BasePosition
  readonly change: {
    /** What the document, the own pose or the record says it takes. */
    readonly set: Sourced<Seconds> | undefined
  }
}

/** The props of a block as they lie, and the figure they are made for where that is drawn otherwise than the pose. */
export type SetUpInUse = Partial<Pick<SetUp, 'id' | 'variantId' | 'figure'>> & Pick<SetUp, 'items'>
interface Of<B extends Block> {
  readonly block: B
  readonly index: number
}

/** What is said over a stretch of a block, sentence by sentence. */
interface WithScript {
  readonly script: TimedScript | undefined
}

/** What ends the words that ask for stillness: on the first side, and on the one after it. */
export interface Stillness {
  readonly first: string
  readonly again: string
}

export interface ResolvedTalk extends Of<TalkBlock>, WithScript {
  readonly kind: 'talk'
}

export interface ResolvedHold extends Of<HoldBlock>, WithChange, WithScript {
  readonly kind: 'hold'
  /** The pose in the form it is done here: its variant's and its answers' changes are in it. */
  readonly pose: Pose
  readonly variant: Variant | undefined
  /** What is said while it is set up: the block's own words, else what the pose, its form and the answers want said. */
  readonly setUpWords: readonly string[]
  /** In the order in which they are held; one entry `both` for a symmetric pose. */
  readonly sides: readonly {
    readonly side: HoldSide
    readonly holdS: Seconds
    readonly phases: readonly ResolvedPhase[]
  }[]
  readonly holdFrom: Source
  /** The first ceiling of the pose for the session's level, a side. */
  readonly ceilingS: Seconds
  readonly times: Readonly<Record<Exclude<TimeName, 'changeS'>, Sourced<Seconds>>>
  readonly setUp: Sourced<SetUpInUse> | undefined
  readonly answers: Answers
  readonly stillness: Stillness
  readonly cues: readonly Cue[]
  readonly breathOver: ResolvedBreathOver | undefined
}

export interface ResolvedMovement extends Of<MovementBlock>, WithChange {
  readonly kind: 'movement'
  readonly movement: Movement
  readonly sides: readonly HoldSide[]
  readonly rounds: number
  readonly pace: Pace
  readonly setUpS: Sourced<Seconds>
  readonly betweenSidesS: Sourced<Seconds>
  readonly restS: Sourced<Seconds>
}

/** The position a section of breath work is practised in, and what it takes to come into it from the one before. */
export interface Seated {
  readonly position: BasePosition
  readonly changeS: Seconds
}

export interface ResolvedBreath extends Of<BreathBlock>, WithChange {
  readonly kind: 'breath'
  /** What it is called by: the first technique that is counted or taught in it, else the first there is. */
  readonly technique: Technique
  /** Every technique in it, each once, in their order. */
  readonly techniques: readonly Technique[]
  readonly sections: readonly ResolvedSection[]
  /** How people sit or lie in each of the sections. */
  readonly seats: readonly Seated[]
  readonly setUp: Sourced<SetUpInUse> | undefined
  readonly setUpS: Sourced<Seconds>
  readonly answers: Answers
  /** The hand that closes the nostrils. */
  readonly hand: Side
}

/** How people come up from lying still, step by step. */
export interface ComingUp {
  readonly comingOutS: Sourced<Seconds>
  readonly rollS: Sourced<Seconds>
  readonly sittingUpS: Sourced<Seconds>
  /** The roll as it is said. */
  readonly rollText: string
}

export interface ResolvedRest extends Of<RestBlock>, WithChange, WithScript {
  readonly kind: 'rest'
  readonly setUp: Sourced<SetUpInUse> | undefined
  readonly stillness: Stillness
  /** Where people lie and it ends as a closing does. */
  readonly ending: ComingUp | undefined
  readonly answers: Answers
}

export interface ResolvedClosing extends Of<ClosingBlock>, WithChange, WithScript, ComingUp {
  readonly kind: 'closing'
  readonly finalRestS: Sourced<Seconds>
  /** The first ceiling of a final rest for the session's level. */
  readonly ceilingS: Seconds
  readonly setUp: Sourced<SetUpInUse> | undefined
  readonly answers: Answers
  readonly stillness: Stillness
}

export type Resolved = ResolvedTalk | ResolvedHold | ResolvedMovement | ResolvedBreath | ResolvedRest | ResolvedClosing
