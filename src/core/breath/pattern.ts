import type { Pace, Pattern } from '#model/breath'

/** Length of a round in half-counts. */
export const roundHalfCounts = (pattern: Pattern): number => pattern.in + pattern.full + pattern.out + pattern.empty

const count = (halves: number): string => String(halves / 2)

/** The round's counts as teachers write them: `4 : 6` without retentions, else all four parts. */
export function patternText(pattern: Pattern, colon = '\u202f:\u202f'): string {
  const parts =
    pattern.full === 0 && pattern.empty === 0
      ? [pattern.in, pattern.out]
      : [pattern.in, pattern.full, pattern.out, pattern.empty]
  return parts.map(count).join(colon)
}

/** Length of a round in seconds, for display, with at most one decimal. */
export const roundSecondsText = (pattern: Pattern, pace: Pace): string =>
  String(Math.round((roundHalfCounts(pattern) * pace.num) / pace.den / 2 / 100) / 10)
