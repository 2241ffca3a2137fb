import type { Side } from '#model/common'
import type { Milliseconds, Seconds } from '#core/units'
import type { Span, SpanKind } from './captions.ts'

/** A span as a teacher has put it right: its start may have been set by hand, and is then sure. */
export interface EditedSpan extends Span {
  readonly startSet?: true
}

/** What a span is said to be; what is `null` is taken away, what is absent stays. */
export interface SpanNamed {
  readonly kind?: SpanKind
  readonly poseId?: string | null
  readonly side?: Side | null
  readonly announcedS?: Seconds | null
}

/** One change of the spans of a recording; `at` is the place of a span in them. */
export type SpanEdit =
  | { readonly type: 'start'; readonly at: number; readonly toMs: Milliseconds }
  | { readonly type: 'name'; readonly at: number; readonly as: SpanNamed }
  | { readonly type: 'joinNext'; readonly at: number }
  | { readonly type: 'split'; readonly at: number; readonly atMs: Milliseconds }

/** No span is made shorter than that. */
export const leastSpanMs = 1000

/**
 * The spans after an edit: still in order, without gaps, from where the first began to where the last ended. A start that
 * is moved too far stands a second from the next one. The same spans where there is nothing to edit: the first span's
 * start, joining the last with nothing, splitting within a second of an end, a name it has, an instant that is no number.
 */
export function editSpans(spans: readonly EditedSpan[], edit: SpanEdit): readonly EditedSpan[] {
  const span = spans[edit.at]
  if (!span) return spans
  switch (edit.type) {
    case 'start':
      return started(spans, edit.at, edit.toMs)
    case 'name': {
      const now = named(span, edit.as)
      return isNamedAlike(span, now) ? spans : spans.with(edit.at, now)
    }
    case 'joinNext': {
      const next = spans[edit.at + 1]
      return next ? spans.toSpliced(edit.at, 2, joined(span, next)) : spans
    }
    case 'split': {
      const atMs = Math.round(edit.atMs)
      const hasRoom = atMs >= span.startMs + leastSpanMs && atMs <= span.endMs - leastSpanMs
      if (!hasRoom) return spans
      return spans.toSpliced(edit.at, 1, { ...span, endMs: atMs }, secondHalf(span, atMs))
    }
  }
}

function started(spans: readonly EditedSpan[], at: number, toMs: Milliseconds): readonly EditedSpan[] {
  const [before, span] = [spans[at - 1], spans[at]]
  if (!before || !span) return spans
  const leastMs = before.startMs + leastSpanMs
  const mostMs = span.endMs - leastSpanMs
  const startMs = Math.max(leastMs, Math.min(mostMs, Math.round(toMs)))
  // Between two spans of a second there is no room for it.
  if (leastMs > mostMs || startMs === span.startMs || Number.isNaN(startMs)) return spans
  return spans.toSpliced(at - 1, 2, { ...before, endMs: startMs }, { ...span, startMs, startSet: true })
}

/** Only a hold has a pose, a side, and a length that was announced. */
function named(span: EditedSpan, as: SpanNamed): EditedSpan {
  const { poseId, side, announcedS, ...rest } = span
  const kind = as.kind ?? span.kind
  if (kind !== 'hold') return { ...rest, kind }
  const told = { poseId: as.poseId ?? poseId, side: as.side ?? side, announcedS: as.announcedS ?? announcedS }
  return {
    ...{ ...rest, kind },
    ...(told.poseId === undefined || as.poseId === null ? {} : { poseId: told.poseId }),
    ...(told.side === undefined || as.side === null ? {} : { side: told.side }),
    ...(told.announcedS === undefined || as.announcedS === null ? {} : { announcedS: told.announcedS }),
  }
}

const isNamedAlike = (a: EditedSpan, b: EditedSpan): boolean =>
  a.kind === b.kind && a.poseId === b.poseId && a.side === b.side && a.announcedS === b.announcedS

const joined = (span: EditedSpan, next: EditedSpan): EditedSpan => ({
  ...span,
  endMs: next.endMs,
  doubtMs: Math.max(span.doubtMs, next.doubtMs),
})

/** What was announced stands at the first half. */
function secondHalf({ announcedS: _, ...span }: EditedSpan, atMs: Milliseconds): EditedSpan {
  return { ...span, startMs: atMs, startSet: true }
}

/** How far the start of a span may lie from where it is given; 0 where it was set by hand, and at the file's own beginning. */
export function startDoubtMs(spans: readonly EditedSpan[], at: number): Milliseconds {
  const [before, span] = [spans[at - 1], spans[at]]
  if (!before || !span || span.startSet) return 0
  return Math.min(before.doubtMs, span.doubtMs)
}
