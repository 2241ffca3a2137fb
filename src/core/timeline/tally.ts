import type { Milliseconds } from '#core/units'
import type { Segment, Timeline } from './timeline.ts'

/** Where the time of a session goes. */
export interface Tally {
  readonly holdMs: Milliseconds
  readonly breathMs: Milliseconds
  readonly movementMs: Milliseconds
  /** Free-standing rests and the final rest. */
  readonly restMs: Milliseconds
  readonly talkMs: Milliseconds
  /** Changes, set-up, settling, coming out, between sides, after-rests, and coming up at the end. */
  readonly betweenMs: Milliseconds
  readonly leftMs: Milliseconds
  readonly rightMs: Milliseconds
}

/** Sums of a timeline by kind, and of held time by side. */
export function tallyTimeline(timeline: Timeline): Tally {
  const sums = { holdMs: 0, breathMs: 0, movementMs: 0, restMs: 0, talkMs: 0, betweenMs: 0, leftMs: 0, rightMs: 0 }
  for (const segment of timeline.segments) {
    const lengthMs = segment.endMs - segment.startMs
    sums[kindOf(segment)] += lengthMs
    if (segment.doing.kind !== 'hold') continue
    if (segment.side === 'left') sums.leftMs += lengthMs
    if (segment.side === 'right') sums.rightMs += lengthMs
  }
  return sums
}

function kindOf({ doing }: Segment): Exclude<keyof Tally, 'leftMs' | 'rightMs'> {
  switch (doing.kind) {
    case 'hold':
      return 'holdMs'
    case 'breath':
      return 'breathMs'
    case 'movement':
      return 'movementMs'
    case 'talk':
      return 'talkMs'
    case 'rest':
      return 'restMs'
    case 'closing':
      return doing.step === 'finalRest' ? 'restMs' : 'betweenMs'
    default:
      return 'betweenMs'
  }
}
