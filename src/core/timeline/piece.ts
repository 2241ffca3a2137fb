import type { Moment, Sound } from '#model/cue'
import type { HoldSide, ResolvedBreathOver } from '#core/session'
import { msFromS } from '#core/units'
import type { Milliseconds, Seconds } from '#core/units'
import type { Doing } from './timeline.ts'

/** Where a cue stands in its piece: as a document says it, at an exact instant, or `end`, where the next one begins. */
export type PieceMoment = Moment | { readonly fromStartMs: Milliseconds } | 'end'

/** A cue that stands in a piece. */
export interface PieceCue {
  readonly id: string
  readonly at: PieceMoment
  readonly text?: string
  readonly sound?: Sound
}

/** A segment before it has a place: what happens, for how long, with which cues. */
export interface Piece {
  readonly doing: Doing
  readonly side: HoldSide | null
  readonly lengthMs: Milliseconds
  readonly cues: readonly PieceCue[]
  /** On the first piece of a hold side: a breath over the whole of that side. */
  readonly breathOver?: { readonly over: ResolvedBreathOver; readonly lengthMs: Milliseconds }
}

export const piece = (
  doing: Doing,
  side: HoldSide | null,
  seconds: Seconds,
  cues: readonly PieceCue[] = [],
): Piece => ({ doing, side, lengthMs: msFromS(seconds), cues })

export const bowl: Sound = { kind: 'bowl', strokes: 1 }
export const lowBell: Sound = { kind: 'lowBell', strokes: 1 }
