import type { Level } from '#model/common'
import type { BodyPart, SetUpItem } from '#model/set-up'
import type { Seconds } from '#core/units'
import { levelFactor } from './changeover.ts'
import { piecesOf } from './pieces.ts'
import { byHand } from './seconds.ts'

/** Parts a body has two of. */
const paired: ReadonlySet<BodyPart> = new Set(['hands', 'arms', 'thighs', 'knees', 'shins', 'ankles', 'feet'])

/**
 * Seconds to bring over what lies on one side for the second side of a pose: every piece in one pile under or between a
 * part that exists twice is moved [settled A19].
 */
export function swapSidesS(items: readonly SetUpItem[], level: Level): Seconds {
  const swapped = piecesOf(items.filter(({ piles = 1 }) => piles === 1)).filter(
    ({ part, lies }) => part !== undefined && paired.has(part) && (lies === 'under' || lies === 'between'),
  )
  return swapped.reduce((sum, { kind }) => sum + byHand(kind).moves, 0) * levelFactor[level]
}
