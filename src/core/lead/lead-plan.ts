import type { Pace, Pattern } from '#model/breath'
import type { Sound } from '#model/cue'
import type { HoldSide } from '#core/session'
import type { Segment, Timeline } from '#core/timeline'
import type { Milliseconds } from '#core/units'

/** A segment of the compiled timeline as it is led: with a length that may change, and its mirror. */
export interface LeadSegment {
  readonly index: number
  readonly blockId: string
  readonly blockIndex: number
  readonly side: HoldSide | null
  readonly doing: Segment['doing']
  readonly lengthMs: Milliseconds
  /** On a second side's hold: the first side's segment whose real time it takes. */
  readonly mirrors: number | undefined
}

/** A cue by its distance from the start or the end of its segment. */
export interface LeadCue {
  readonly id: string
  readonly segment: number
  readonly offsetMs: Milliseconds
  readonly fromEnd: boolean
  readonly text: string | undefined
  readonly sound: Sound | undefined
}

export interface LeadOver {
  readonly name: string
  readonly pattern: Pattern
  readonly pace: Pace
  readonly rounds: number | undefined
  readonly countedRounds: number
}

/** All that a class is led from; plain data, kept whole in its record. */
export interface LeadPlan {
  readonly segments: readonly LeadSegment[]
  readonly cues: readonly LeadCue[]
  readonly totalMs: Milliseconds
  /** How long a second side may follow the first, by block: the larger of planned time and first ceiling. */
  readonly capMs: Readonly<Record<string, Milliseconds>>
  /** Breath over a hold, by block. */
  readonly over: Readonly<Record<string, LeadOver>>
}

/**
 * The plan of a class from its timeline. `ceilingMs` gives the first ceiling of each hold by block id.
 * Every breath block gets a natural tail, of no length until the teacher stays in it.
 */
export function leadPlan(timeline: Timeline, ceilingMs: Readonly<Record<string, Milliseconds>>): LeadPlan {
  const segments: LeadSegment[] = []
  /** Where each segment of the timeline stands in the plan. */
  const places: number[] = []
  for (const { block, firstSegment, endSegment } of timeline.blocks) {
    for (const segment of timeline.segments.slice(firstSegment, endSegment)) {
      places.push(segments.length)
      segments.push(leadSegment(segment, segments))
    }
    if (block.kind === 'breath') segments.push(naturalTail(block.block.id, block.index, segments.length))
  }
  return {
    segments,
    cues: timeline.cues.map((cue) => {
      const { startMs = 0, endMs = 0 } = timeline.segments[cue.segment] ?? {}
      const { id, text, sound, fromEnd } = cue
      const offsetMs = fromEnd ? endMs - cue.atMs : cue.atMs - startMs
      return { id, segment: places[cue.segment] ?? 0, offsetMs, fromEnd, text, sound }
    }),
    totalMs: timeline.totalMs,
    capMs: caps(timeline, ceilingMs),
    over: overs(timeline),
  }
}

function leadSegment(segment: Segment, before: readonly LeadSegment[]): LeadSegment {
  const { blockId, blockIndex, side, doing, startMs, endMs } = segment
  return {
    index: before.length,
    blockId,
    blockIndex,
    side,
    doing,
    lengthMs: endMs - startMs,
    mirrors: mirrored(segment, before),
  }
}

function mirrored({ blockId, side, doing }: Segment, before: readonly LeadSegment[]): number | undefined {
  if (doing.kind !== 'hold' || side === null || side === 'both') return undefined
  const first = before.find(
    (other) =>
      other.blockId === blockId &&
      other.side !== side &&
      other.doing.kind === 'hold' &&
      other.doing.phase.index === doing.phase.index,
  )
  return first?.index
}

const naturalTail = (blockId: string, blockIndex: number, index: number): LeadSegment => ({
  index,
  blockId,
  blockIndex,
  side: 'both',
  doing: { kind: 'breath', part: 'natural', set: 0, round: 0, counts: 0 },
  lengthMs: 0,
  mirrors: undefined,
})

function caps(timeline: Timeline, ceilingMs: Readonly<Record<string, Milliseconds>>): Record<string, Milliseconds> {
  const made: Record<string, Milliseconds> = {}
  for (const { block } of timeline.blocks) {
    if (block.kind !== 'hold') continue
    const planned = Math.max(...block.sides.map((side) => side.holdS * 1000))
    made[block.block.id] = Math.max(planned, ceilingMs[block.block.id] ?? 0)
  }
  return made
}

function overs(timeline: Timeline): Record<string, LeadOver> {
  const made: Record<string, LeadOver> = {}
  for (const { block } of timeline.blocks) {
    if (block.kind !== 'hold' || !block.breathOver) continue
    const { technique, pattern, pace, rounds, countedRounds } = block.breathOver
    made[block.block.id] = { name: technique.names.english, pattern, pace, rounds, countedRounds }
  }
  return made
}
