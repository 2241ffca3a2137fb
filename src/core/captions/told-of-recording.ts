import type { Milliseconds } from '#core/units'
import type { Caption, Span } from './captions.ts'
import { piecesOf } from './pieces.ts'

/** A hold of a recording, as it was announced and as it was. */
export interface RecordedHold {
  readonly span: Span
  readonly heldMs: Milliseconds
  /** What was spoken in it. */
  readonly spokenMs: Milliseconds
}

/** Both sides of a shape, one held after the other. */
export interface RecordedSides {
  readonly first: Span
  readonly second: Span
  /** By how much the second was held longer; below 0 shorter. */
  readonly apartMs: Milliseconds
}

export interface ToldOfRecording {
  readonly holds: readonly RecordedHold[]
  readonly sides: readonly RecordedSides[]
  /** When somebody spoke, as long as saying it takes: a caption may stand on after that. */
  readonly spoken: readonly { readonly startMs: Milliseconds; readonly endMs: Milliseconds }[]
  /** The longest that nobody spoke, from where; absent: somebody always did. */
  readonly longestQuiet?: { readonly startMs: Milliseconds; readonly endMs: Milliseconds }
}

const lengthOf = ({ startMs, endMs }: { readonly startMs: number; readonly endMs: number }): number => endMs - startMs

/** What the spans of a recording and its captions add up to. */
export function toldOfRecording(captions: readonly Caption[], spans: readonly Span[]): ToldOfRecording {
  const pieces = piecesOf(captions)
  const spoken = pieces.filter(({ text }) => text !== '')
  const held = spans.filter(({ kind }) => kind === 'hold')
  const within = (span: Span): Milliseconds =>
    spoken.reduce(
      (sum, { startMs, endMs }) => sum + Math.max(0, Math.min(endMs, span.endMs) - Math.max(startMs, span.startMs)),
      0,
    )
  const [longest] = pieces.filter(({ text }) => text === '').toSorted((a, b) => lengthOf(b) - lengthOf(a))
  return {
    spoken: spoken.map(({ startMs, endMs }) => ({ startMs, endMs })),
    holds: held.map((span) => ({ span, heldMs: lengthOf(span), spokenMs: within(span) })),
    sides: held.slice(1).flatMap((second, at): RecordedSides[] => {
      const first = held[at]
      const isOther = first?.side !== undefined && second.side !== undefined && first.side !== second.side
      if (!isOther || first.poseId !== second.poseId) return []
      return [{ first, second, apartMs: lengthOf(second) - lengthOf(first) }]
    }),
    ...(longest ? { longestQuiet: { startMs: longest.startMs, endMs: longest.endMs } } : {}),
  }
}
