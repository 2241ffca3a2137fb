import type { School } from '#model/answers'
import type { BasePosition } from '#model/common'
import type { Family } from '#model/family'
import type { Movement } from '#model/movement'
import type { OwnPose, Pose } from '#model/pose'
import type { PropKind, PropSpec } from '#model/prop'
import type { SetUp } from '#model/set-up'
import type { Technique } from '#model/technique'
import type { Seconds } from '#core/units'
import type { LearnedTimes } from './learned.ts'

/** Seconds to go from one base position (row) to another (column), without props. */
export type ChangeTable = Readonly<Record<BasePosition, Readonly<Record<BasePosition, Seconds>>>>

type MinutesByLevel = readonly [asNew: number, regular: number, experienced: number]

/** First ceilings in minutes a side: the register's by family and level, and those of fully supported forms. */
export interface Ceilings {
  readonly usual: Readonly<Record<Family, MinutesByLevel>>
  readonly supported: Readonly<Partial<Record<Family, MinutesByLevel>>>
}

/** All that a session refers to and every default it falls back on: shipped, own and learned. */
export interface Catalog {
  readonly poses: ReadonlyMap<string, Pose>
  /** The teacher's own poses; one of the same id stands before a shipped one. */
  readonly ownPoses: ReadonlyMap<string, OwnPose & Pose>
  readonly techniques: ReadonlyMap<string, Technique>
  readonly movements: ReadonlyMap<string, Movement>
  readonly schools: ReadonlyMap<string, School>
  /** Set-ups by the pose they are made for: the teacher's own first, of the shipped the fullest first. */
  readonly setUps: ReadonlyMap<string, readonly SetUp[]>
  readonly propKinds: Readonly<Record<PropKind, PropSpec>>
  readonly ceilings: Ceilings
  readonly changes: ChangeTable
  /** How many are led, where a class of so many is planned: estimated changes take longer with more. */
  readonly people?: number | undefined
  /** What is offered to all at the set-up of a block, where a class is planned: sentences by its id. */
  readonly offers?: ReadonlyMap<string, string> | undefined
  /** What is kept for the one who comes, where nobody else does: the items by `keptFor` of a pose and its form. */
  readonly keptForOne?: ReadonlyMap<string, SetUp['items']> | undefined
  /** How fast the teacher speaks, in words a minute; absent: as is usual. */
  readonly wordsAMinute?: number | undefined
  /** Times learned from led classes, and those the teacher set in their place. */
  readonly learned: LearnedTimes
}
