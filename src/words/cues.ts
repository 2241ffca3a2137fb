import type { Moment, Sound } from '#model/cue'
import { formatDuration } from '#core/units'

/** When a cue comes, as a teacher says it. */
export function momentWords(at: Moment): string {
  if ('fromStartS' in at) return at.fromStartS === 0 ? 'at the start' : `at ${formatDuration(at.fromStartS)}`
  if ('beforeEndS' in at) return `${formatDuration(at.beforeEndS)} before the end`
  return at.share === 0.5 ? 'half time' : `after ${String(Math.round(at.share * 100))} %`
}

const soundNames = { bowl: 'bowl', wood: 'wood', lowBell: 'low bell' } as const

export function soundWords(sound: Sound | undefined): string {
  if (!sound) return ''
  return sound.strokes === 1
    ? `${soundNames[sound.kind]}, one stroke`
    : `${soundNames[sound.kind]}, ${String(sound.strokes)} strokes`
}
