import type { Pace, Pattern } from '#model/breath'
import type { Resolved } from './resolved.ts'

/** The breath that is counted over a hold, or held in a movement, each in the counts of a round; undefined elsewhere. */
export function countedBeside(block: Resolved): { readonly pattern: Pattern; readonly pace: Pace } | undefined {
  if (block.kind === 'hold') return block.breathOver
  if (block.kind !== 'movement') return undefined
  const held = block.movement.parts.filter(({ part }) => part === 'retention').map(({ halfCounts }) => halfCounts)
  return { pattern: { in: 1, full: Math.max(0, ...held), out: 1, empty: 0 }, pace: block.pace }
}
