import type { Sound } from '#model/cue'
import type { Milliseconds } from '#core/units'

/** What the teacher or the driver can tell the machine; `atMs` is the class's own time since Start. */
export type LeadEventType =
  | 'tick'
  | 'pause'
  | 'resume'
  | 'theyComeOut'
  | 'stay'
  | 'end'
  | 'back'
  | 'match'
  | 'freely'
  | 'stopCard'
  | 'mark'
  | 'bell'
  | 'missed'
  | 'leave'
  | 'gap'
  | 'wentOn'
  | 'stoppedThen'

export interface LeadEvent {
  readonly type: LeadEventType
  readonly atMs: Milliseconds
}

/** A segment as it was really conducted, `[startMs, endMs)`; natural breath put in between has no segment. */
export interface Visit {
  readonly segment: number | null
  readonly blockId: string
  readonly startMs: Milliseconds
  readonly endMs: Milliseconds
  /** An attempt that was begun again: kept in the record, not counted for the other side. */
  readonly again: boolean
}

export interface Pause {
  readonly sinceMs: Milliseconds
  /** In a hold they stay and the time counts; in counted breath it is natural breath; else it only waits. */
  readonly kind: 'hold' | 'breath' | 'wait' | 'asking'
}

/**
 * Where a class is. The current segment began at `startedMs` and lasts `lengths[index]` and whatever was
 * paused in it (`pausedMs`). `natural`, when set, is natural breath put in before that segment.
 */
export interface LeadState {
  readonly phase: 'running' | 'ended'
  readonly nowMs: Milliseconds
  readonly index: number
  readonly startedMs: Milliseconds
  readonly pausedMs: Milliseconds
  readonly natural: { readonly blockId: string; readonly lengthMs: Milliseconds } | null
  readonly lengths: readonly Milliseconds[]
  readonly pause: Pause | null
  readonly visits: readonly Visit[]
  /** Cues that have sounded, by `id@segment`, and when. */
  readonly rung: Readonly<Record<string, Milliseconds>>
  /** Counting comes back only here: after a reload or gap, at the next round's inhale. */
  readonly quietUntilMs: Milliseconds
  /** A breath over this hold starts anew here, after a pause. */
  readonly overFromMs: Milliseconds | null
  /** Blocks in which the teacher chose natural breath to the end. */
  readonly freely: readonly string[]
  /** Second sides that were stopped at their cap, and what matching would take. */
  readonly capped: Readonly<Record<string, Milliseconds>>
  readonly beforeEnd: { readonly state: LeadState; readonly atMs: Milliseconds } | null
  readonly last: LeadEvent | null
  /** Left before the end. */
  readonly left: boolean
}

/** What the driver has to do; it is told, the machine does nothing itself. */
export type LeadEffect =
  | { readonly type: 'save' }
  | { readonly type: 'schedule' }
  | { readonly type: 'sound'; readonly sound: Sound }
  | { readonly type: 'showStopCard' }
  | { readonly type: 'ended' }
