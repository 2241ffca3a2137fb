import type { Pattern } from '#model/breath'

export type BreathPart = 'in' | 'full' | 'out' | 'empty'

/** One part of one round, as half-open half-counts `[from, to)` since counting began. */
export interface RoundPart {
  readonly part: BreathPart
  readonly round: number
  readonly from: number
  readonly to: number
}

const order: readonly BreathPart[] = ['in', 'full', 'out', 'empty']

/** The parts of `rounds` rounds in order, those of no length left out; `round` counts from 1. */
export function roundParts(pattern: Pattern, rounds: number, startHalfCount = 0): RoundPart[] {
  const parts: RoundPart[] = []
  let from = startHalfCount
  for (let round = 1; round <= rounds; round += 1) {
    for (const part of order) {
      if (pattern[part] === 0) continue
      const to = from + pattern[part]
      parts.push({ part, round, from, to })
      from = to
    }
  }
  return parts
}
