import type { Milliseconds } from '#core/units'
import type { PieceMoment } from './piece.ts'
import type { Placed, PlacedCue } from './place.ts'
import type { Segment, TimelineCue } from './timeline.ts'

/** A cue for the very end of a segment that nothing follows stands this long before it. */
const beforeVeryEndMs = 1000

/** Cues at their instants, each clamped to its segment, in order of time (ties as written). */
export function ring({ segments, cues }: Placed): TimelineCue[] {
  return cues.map((placed) => atInstant(placed, segments)).sort((a, b) => a.atMs - b.atMs)
}

function atInstant({ cue, segment }: PlacedCue, segments: readonly Segment[]): TimelineCue {
  const next = cue.at === 'end' ? segments[segment.index + 1] : undefined
  const inside = next ?? segment
  return {
    id: cue.id,
    atMs: next ? next.startMs : instantIn(cue.at, segment),
    segment: inside.index,
    blockId: segment.blockId,
    side: segment.side,
    text: cue.text,
    sound: cue.sound,
    ...(cue.at !== 'end' && 'share' in cue.at ? { share: cue.at.share } : {}),
    fromEnd: cue.at !== 'end' && 'beforeEndS' in cue.at,
  }
}

/** Counted words stand where they were counted to, all else a second clear of what comes next. */
const instantIn = (at: PieceMoment, segment: Segment): Milliseconds =>
  at !== 'end' && 'fromStartMs' in at
    ? Math.min(segment.startMs + at.fromStartMs, segment.endMs)
    : clampInto(instantOf(at, segment), segment)

function instantOf(at: Exclude<PieceMoment, { fromStartMs: number }>, { startMs, endMs }: Segment): Milliseconds {
  if (at === 'end') return endMs
  if ('fromStartS' in at) return startMs + at.fromStartS * 1000
  if ('beforeEndS' in at) return endMs - at.beforeEndS * 1000
  return startMs + Math.floor(((endMs - startMs) * at.share) / 1000) * 1000
}

const clampInto = (ms: Milliseconds, { startMs, endMs }: Segment): Milliseconds =>
  Math.max(startMs, Math.min(ms, endMs - beforeVeryEndMs))
