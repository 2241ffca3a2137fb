import { boundaryMs, roundHalfCounts, roundParts, roundsThatFit } from '#core/breath'
import { spokenIn } from '#core/session'
import type { Change, Resolved } from '#core/session'
import type { Milliseconds } from '#core/units'
import type { Piece, PieceCue } from './piece.ts'
import type { BlockSpan, BreathOverPart, ScriptSaid, Segment } from './timeline.ts'

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
  readonly scripts: readonly ScriptSaid[]
  readonly blocks: readonly BlockSpan[]
  readonly totalMs: Milliseconds
}

/** Pieces one after another from 0; those of no length are left out. */
export function place(laid: readonly Laid[]): Placed {
  const segments: Segment[] = []
  const cues: PlacedCue[] = []
  const breathOver: BreathOverPart[] = []
  const scripts: ScriptSaid[] = []
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
      if (piece.script) scripts.push(scriptLane(piece.script, segment, pieces))
      nowMs = segment.endMs
    }
    blocks.push({ block, change, startMs, endMs: nowMs, firstSegment, endSegment: segments.length })
  }
  return { segments, cues, breathOver, scripts, blocks, totalMs: nowMs }
}

/** A script from after the words before it to before the words after it. */
function scriptLane(
  { script, fromMs, lengthMs, beforeEndMs }: NonNullable<Piece['script']>,
  segment: Segment,
  pieces: readonly Piece[],
): ScriptSaid {
  const { index: firstSegment, blockId, side, startMs, endMs } = segment
  // Its own piece, and what of the same block and side goes on until its length is full.
  let untilMs = endMs
  let many = 1
  const at = pieces.findIndex((piece) => piece.script?.script === script)
  for (const piece of pieces.slice(at + 1)) {
    if (untilMs - startMs >= lengthMs) break
    untilMs += piece.lengthMs
    if (piece.lengthMs > 0) many += 1
  }
  const span = { startMs: startMs + fromMs, endMs: Math.max(startMs + fromMs, startMs + lengthMs - beforeEndMs) }
  return {
    ...{ blockId, side, firstSegment, endSegment: firstSegment + many, ...span, script },
    spoken: spokenIn(script, span.endMs - span.startMs),
  }
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
