import { boundaryMs, roundHalfCounts, roundParts, roundsThatFit } from '#core/breath'
import type { Change, Resolved } from '#core/session'
import type { Milliseconds } from '#core/units'
import type { Piece, PieceCue } from './piece.ts'
import type { BlockSpan, BreathOverPart, Segment } from './timeline.ts'

export interface Laid {
  readonly block: Resolved
  readonly change: Change | undefined
  readonly pieces: readonly Piece[]
}

/** A cue and the segment it was written for, not yet at an instant. */
export interface PlacedCue {
  readonly cue: PieceCue
  readonly segment: Segment
}

export interface Placed {
  readonly segments: readonly Segment[]
  readonly cues: readonly PlacedCue[]
  readonly breathOver: readonly BreathOverPart[]
  readonly blocks: readonly BlockSpan[]
  readonly totalMs: Milliseconds
}

/** Pieces one after another from 0; those of no length are left out. */
export function place(laid: readonly Laid[]): Placed {
  const segments: Segment[] = []
  const cues: PlacedCue[] = []
  const breathOver: BreathOverPart[] = []
  const blocks: BlockSpan[] = []
  let nowMs = 0
  for (const { block, change, pieces } of laid) {
    const startMs = nowMs
    const firstSegment = segments.length
    for (const piece of pieces) {
      if (piece.lengthMs <= 0) continue
      const segment: Segment = {
        index: segments.length,
        blockId: block.block.id,
        blockIndex: block.index,
        side: piece.side,
        startMs: nowMs,
        endMs: nowMs + piece.lengthMs,
        doing: piece.doing,
      }
      segments.push(segment)
      for (const cue of piece.cues) cues.push({ cue, segment })
      if (piece.breathOver) breathOver.push(...breathLane(piece.breathOver, segment))
      nowMs = segment.endMs
    }
    blocks.push({ block, change, startMs, endMs: nowMs, firstSegment, endSegment: segments.length })
  }
  return { segments, cues, breathOver, blocks, totalMs: nowMs }
}

/** Whole rounds over a hold, then natural breath [decisions]. */
function breathLane(
  { over, lengthMs }: NonNullable<Piece['breathOver']>,
  { blockId, side, startMs }: Segment,
): BreathOverPart[] {
  const { pattern, pace } = over
  const most = roundsThatFit(lengthMs, pattern, pace)
  const rounds = Math.min(over.rounds ?? most, most)
  const common = { blockId, side: side ?? 'both' }
  const parts = roundParts(pattern, rounds).map(({ part, round, from, to }): BreathOverPart => ({
    ...common,
    part,
    round,
    startMs: startMs + boundaryMs(from, pace),
    endMs: startMs + boundaryMs(to, pace),
  }))
  const countedMs = boundaryMs(rounds * roundHalfCounts(pattern), pace)
  if (countedMs === lengthMs) return parts
  const rest = { ...common, part: 'natural' as const, round: 0 }
  return [...parts, { ...rest, startMs: startMs + countedMs, endMs: startMs + lengthMs }]
}
