import type { School } from '#model/answers'
import type { BasePosition } from '#model/common'
import type { Movement } from '#model/movement'
import type { OwnPose, Pose } from '#model/pose'
import type { Technique } from '#model/technique'
import type { SomeTimes } from '#model/times'
import type { Seconds } from '#core/units'

/** Seconds to go from one base position (row) to another (column), without props. */
export type ChangeTable = Readonly<Record<BasePosition, Readonly<Record<BasePosition, Seconds>>>>

/** All that a session refers to and every default it falls back on: shipped, own and learned. */
export interface Catalog {
  readonly poses: ReadonlyMap<string, Pose>
  /** The teacher's own poses; one of the same id stands before a shipped one. */
  readonly ownPoses: ReadonlyMap<string, OwnPose>
  readonly techniques: ReadonlyMap<string, Technique>
  readonly movements: ReadonlyMap<string, Movement>
  readonly schools: ReadonlyMap<string, School>
  readonly changes: ChangeTable
  /** Times learned from led classes, by pose id. */
  readonly learned: ReadonlyMap<string, SomeTimes>
}
