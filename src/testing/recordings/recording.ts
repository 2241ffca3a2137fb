import type { Caption } from '#core/captions'

/** A hold a careful listener marks in a recording. */
export interface Heard {
  readonly startS: number
  readonly endS: number
  readonly poseId?: string
  readonly side?: 'left' | 'right'
  readonly announcedS?: number
}

/** A made-up recording: its captions, the holds in it, and stretches that are talk alone. */
export interface Recording {
  readonly name: string
  readonly captions: readonly Caption[]
  readonly holds: readonly Heard[]
  readonly talk: readonly (readonly [startS: number, endS: number])[]
}

const secondsOf = (time: string): number => time.split(':').reduce((sum, part) => sum * 60 + Number(part), 0)

/**
 * Captions from lines of "m:ss words": each stands as long as it takes to say it, or, as automatic programs leave them,
 * until the next one begins.
 */
export function captionsOf(script: string, isAutomatic = false): readonly Caption[] {
  const lines = script
    .trim()
    .split('\n')
    .map((line) => /^\s*(\d+:\d\d) (.*)$/.exec(line))
    .flatMap((match) => (match ? [{ at: secondsOf(match[1] ?? ''), text: match[2] ?? '' }] : []))
  return lines.map(({ at, text }, index) => {
    const next = lines[index + 1]?.at ?? at + 8
    const said = at + text.split(' ').length / 2.6 + 0.5
    return { startMs: at * 1000, endMs: Math.round((isAutomatic ? next : Math.min(next, said)) * 1000), text }
  })
}
