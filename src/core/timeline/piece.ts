import type { Moment, Sound } from '#model/cue'
import { leastPauseMs, mirrorText, sayMs } from '#core/session'
import type { HoldSide, ResolvedBreathOver, TimedScript } from '#core/session'
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
  /** On the first piece of what a script is said in: from where, and until how long before the end of it. */
  readonly script?: {
    readonly script: TimedScript
    readonly fromMs: Milliseconds
    readonly lengthMs: Milliseconds
    readonly beforeEndMs: Milliseconds
  }
}

export const piece = (
  doing: Doing,
  side: HoldSide | null,
  seconds: Seconds,
  cues: readonly PieceCue[] = [],
): Piece => ({ doing, side, lengthMs: msFromS(seconds), cues })

interface Around {
  /** What is said before it; absent: the words the piece opens with. */
  readonly first?: string | undefined
  /** What is said after it. */
  readonly last?: readonly string[]
  /** What it is said in, where that is more than its own piece. */
  readonly lengthMs?: Milliseconds
}

/** A piece with the script that is said in it, after its opening words and before what is said last; sides told as they are. */
export function withScript(made: Piece, script: TimedScript | undefined, around: Around = {}): Piece {
  if (!script) return made
  const { first = openingOf(made), last = [], lengthMs = made.lengthMs } = around
  const say = (text: string): Milliseconds => sayMs(text, script.wordsAMinute) + leastPauseMs
  const sentences = script.sentences.map((one) => ({ ...one, text: mirrorText(one.text, made.side ?? 'both') }))
  return {
    ...made,
    script: {
      script: { ...script, sentences },
      fromMs: first === undefined || first.trim() === '' ? 0 : say(first),
      beforeEndMs: last.reduce((sum, text) => sum + say(text), 0),
      lengthMs,
    },
  }
}

const openingOf = ({ cues }: Piece): string | undefined =>
  cues.find(({ at, text }) => text !== undefined && at !== 'end' && 'fromStartS' in at && at.fromStartS === 0)?.text

export const bowl: Sound = { kind: 'bowl', strokes: 1 }
export const lowBell: Sound = { kind: 'lowBell', strokes: 1 }
