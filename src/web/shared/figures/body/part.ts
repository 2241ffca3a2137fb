import type { Side } from '#model/common'
import type { Point3 } from '#core/figure'

/** A ball of flesh; between one and the next of a string the flesh goes over from the one's width to the other's. */
export interface Bead {
  readonly at: Point3
  readonly r: number
}

export type PartName = 'trunk' | 'head' | 'thigh' | 'lowerLeg' | 'upperArm' | 'forearm'

/** A part of the body as strings of flesh, in cm. */
export interface BodyPart {
  readonly name: PartName
  readonly side?: Side
  readonly strings: readonly (readonly Bead[])[]
  /** Where it grows out of its neighbour: within these no line parts the two. */
  readonly joints: readonly Bead[]
}

export const bead = (at: Point3, r: number): Bead => ({ at, r })
