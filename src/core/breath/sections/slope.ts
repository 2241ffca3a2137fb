import type { Pattern } from '#model/breath'
import type { Slope } from '#model/section'

/**
 * The pattern of each set of a slope: one part changes by half-counts every `everySets` sets, to its limit, and comes
 * back at least half way before the section ends [breath book 1]. Where sets are left over it stays at its furthest.
 */
export function slopedPatterns(pattern: Pattern, slope: Slope, sets: number): readonly Pattern[] {
  const { part, byHalf, everySets, to } = slope
  const changes = Math.ceil(sets / everySets) - 1
  const span = to - pattern[part]
  const mostUp = Math.sign(span) === Math.sign(byHalf) ? Math.floor(span / byHalf) : 0
  const up = mostWithWayBack(mostUp, changes)
  const back = Math.min(up, changes - up)
  const stays = changes - up - back
  return Array.from({ length: sets }, (_, set) => {
    const change = Math.floor(set / everySets)
    const steps = change <= up + stays ? Math.min(change, up) : up - (change - up - stays)
    return { ...pattern, [part]: pattern[part] + steps * byHalf }
  })
}

/** The most changes one way that leave at least half as many, rounded up, for the way back. */
function mostWithWayBack(most: number, changes: number): number {
  let up = Math.min(most, changes)
  while (up > 0 && up + Math.ceil(up / 2) > changes) up -= 1
  return up
}
