import type { Timeline } from './timeline.ts'

/** The timeline itself, when its segments tile it and every cue lies in its segment; else a mistake of ours. */
export function checkTiles(timeline: Timeline): Timeline {
  let nowMs = 0
  for (const segment of timeline.segments) {
    if (segment.startMs !== nowMs || segment.endMs <= segment.startMs || !Number.isInteger(segment.endMs)) {
      throw new RangeError(
        `compileTimeline: segment ${String(segment.index)} runs from ${String(segment.startMs)} to ${String(segment.endMs)} after ${String(nowMs)}`,
      )
    }
    nowMs = segment.endMs
  }
  if (nowMs !== timeline.totalMs) throw new RangeError(`compileTimeline: ends at ${String(nowMs)}`)
  for (const cue of timeline.cues) {
    const inside = timeline.segments[cue.segment]
    if (!inside || cue.atMs < inside.startMs || cue.atMs >= inside.endMs) {
      throw new RangeError(`compileTimeline: cue ${cue.id} at ${String(cue.atMs)} is outside its segment`)
    }
  }
  return timeline
}
