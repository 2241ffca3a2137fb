import type { BasePosition } from '#model/common'
import type { Sound } from '#model/cue'
import type { BreathPart, Stretch } from '#core/breath'
import type { Change, HoldSide, Resolved, SpokenScript, TimedScript } from '#core/session'
import type { Milliseconds } from '#core/units'

/** What happens in a segment; `kind` tells which, the rest is what a screen or a voice needs of it. */
export type Doing =
  | { readonly kind: 'talk' }
  | {
      readonly kind: 'change'
      readonly from: BasePosition | undefined
      readonly to: BasePosition
      readonly text: string | undefined
    }
  | { readonly kind: 'setUp'; readonly second: boolean }
  | { readonly kind: 'settle' }
  | { readonly kind: 'hold'; readonly phase: { readonly id: string; readonly name: string; readonly index: number } }
  | { readonly kind: 'comingOut' }
  | { readonly kind: 'betweenSides'; readonly form: 'nothing' | 'stillness' | 'movement' }
  | { readonly kind: 'afterRest'; readonly form: 'stillness' | 'movement' }
  /** A stretch of breath work: `section` from 0, `set` and `round` from 1 where it has any. */
  | ({ readonly kind: 'breath' } & Omit<Stretch, 'lengthMs'>)
  | {
      readonly kind: 'movement'
      readonly part: 'in' | 'out' | 'stay' | 'retention' | 'rest'
      readonly round: number
      readonly counts: number
      readonly does: string
    }
  | { readonly kind: 'rest' }
  | { readonly kind: 'closing'; readonly step: 'finalRest' | 'comingOut' | 'roll' | 'sittingUp' }

/** A stretch of the class, half-open `[startMs, endMs)`; segments tile the whole session. */
export interface Segment {
  readonly index: number
  readonly blockId: string
  readonly blockIndex: number
  /** The side being held or prepared; null where a block has none. */
  readonly side: HoldSide | null
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly doing: Doing
}

/** Something said or sounded, inside its segment. */
export interface TimelineCue {
  readonly id: string
  readonly atMs: Milliseconds
  readonly segment: number
  readonly blockId: string
  readonly side: HoldSide | null
  readonly text: string | undefined
  readonly sound: Sound | undefined
  /** Of what share of its segment it stands after, where it was said so. */
  readonly share?: number
  /** Whether it stands by its segment's end, and so moves with it when a hold is led longer. */
  readonly fromEnd: boolean
}

/** A counted breath that runs over a hold, in a lane of its own. */
export interface BreathOverPart {
  readonly blockId: string
  readonly side: HoldSide
  readonly part: BreathPart | 'natural'
  readonly round: number
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
}

/** A script as it is said over one stretch, in a lane of its own; its instants are from `startMs` on. */
export interface ScriptSaid {
  readonly blockId: string
  readonly side: HoldSide | null
  /** The segments it is said in, `[firstSegment, endSegment)`; words may stand before it and after it. */
  readonly firstSegment: number
  readonly endSegment: number
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly script: TimedScript
  readonly spoken: SpokenScript
}

/** From the change before a block to its end: the segments `[firstSegment, endSegment)`. */
export interface BlockSpan {
  readonly block: Resolved
  /** How people come into it; a talk has no change. */
  readonly change: Change | undefined
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  readonly firstSegment: number
  readonly endSegment: number
}

export interface Timeline {
  readonly totalMs: Milliseconds
  readonly segments: readonly Segment[]
  readonly cues: readonly TimelineCue[]
  readonly breathOver: readonly BreathOverPart[]
  readonly scripts: readonly ScriptSaid[]
  readonly blocks: readonly BlockSpan[]
}
