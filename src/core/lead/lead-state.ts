import type { Sound } from '#model/cue'
import type { LeadEvent, Visit } from '#model/led-class'
import type { Milliseconds } from '#core/units'
import type { Order } from './order.ts'

export type { LeadEvent, Visit }
export type LeadEventType = LeadEvent['type']

/** What the machine is told: an event, or only that time has passed. */
export type LeadInput = LeadEvent | { readonly type: 'tick'; readonly atMs: Milliseconds }

export interface Pause {
  readonly sinceMs: Milliseconds
  /** In a hold they stay and the time counts; in counted breath it is natural breath; else it only waits. */
  readonly kind: 'hold' | 'breath' | 'wait' | 'asking'
}

/** A stretch of class time, half-open. */
export interface Stretch {
  readonly fromMs: Milliseconds
  readonly toMs: Milliseconds
}

/**
 * Where a class is. The current segment began at `startedMs` and lasts `lengths[index]`, less the rounds of it that
 * were done before (`skippedMs`), and whatever was paused in it. `natural`, when set, is natural breath put in before
 * that segment.
 */
export interface LeadState {
  readonly phase: 'running' | 'ended'
  readonly nowMs: Milliseconds
  readonly index: number
  readonly startedMs: Milliseconds
  readonly skippedMs: Milliseconds
  /** What runs now goes on until all are settled. */
  readonly waits: boolean
  /** Pauses in this segment that are over. */
  readonly pauses: readonly Stretch[]
  /** What was added to the part that runs while it ran: how far into it, and by how much. */
  readonly grown: readonly { readonly elapsedMs: Milliseconds; readonly byMs: Milliseconds }[]
  readonly natural: { readonly blockId: string; readonly lengthMs: Milliseconds } | null
  readonly lengths: readonly Milliseconds[]
  /** The lengths as they are set: the plan's, or what was re-fitted; `lengths` go by what really happens. */
  readonly set: readonly Milliseconds[]
  /** The order in which the blocks are led. */
  readonly order: Order
  /** Blocks that are left out. */
  readonly leaves: readonly string[]
  /** The end that was promised in answer to a late start. */
  readonly promisedMs: Milliseconds | null
  /** The end that was said with a re-fit. */
  readonly saidEndMs: Milliseconds | null
  readonly pause: Pause | null
  readonly visits: readonly Visit[]
  /** Cues of this segment whose moment came, by `id@segment`, and when. */
  readonly rung: Readonly<Record<string, Milliseconds>>
  /** How many bells came due so far. */
  readonly bells: number
  /** Counting comes back only here: after a reload or gap, at the next round's inhale. */
  readonly quietUntilMs: Milliseconds
  /** Where a breath over this hold side counts from. */
  readonly overFromMs: Milliseconds
  /** Rounds of it that were done in this segment before it began to count anew. */
  readonly overRounds: number
  /** Blocks in which the teacher chose natural breath to the end. */
  readonly freely: readonly string[]
  /** What is still counted: all as planned; after a stop sign nothing; counted again, only what neither holds nor strokes. */
  readonly counting: 'all' | 'none' | 'plain'
  /** When a stop sign was last seen in breath work. */
  readonly stoppedMs: Milliseconds | null
  /** A second side that stops at its cap, and what matching would take. */
  readonly capped: { readonly blockId: string; readonly fullMs: Milliseconds } | null
  /** What stood before the last End, and before that what stood before the End a moment earlier. */
  readonly beforeEnd: { readonly state: LeadState; readonly atMs: Milliseconds } | null
  /** When each key was last pressed, whatever it meant. */
  readonly pressed: Readonly<Record<string, Milliseconds>>
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
