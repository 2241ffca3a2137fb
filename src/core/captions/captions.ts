import type { Side } from '#model/common'
import type { Milliseconds } from '#core/units'

/** What somebody said in a recording, and when, as a caption file has it. */
export interface Caption {
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly text: string
}

export const spanKinds = [
  'talk',
  'setUp',
  'hold',
  'comingOut',
  'rest',
  'breath',
  'movement',
  /** Captions that say nothing that can be understood. */
  'unknown',
] as const
export type SpanKind = (typeof spanKinds)[number]

/** A stretch of a recorded class, as far as it can be told from what was said. */
export interface Span {
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly kind: SpanKind
  /** The pose of the shelf that was named for it; absent: a shape nobody named, or none of the shelf. */
  readonly poseId?: string
  readonly side?: Side
  /** How long the teacher said a hold would be. */
  readonly announcedS?: number
  /** Each of its ends may lie so far from where it is given. */
  readonly doubtMs: Milliseconds
}
