import type { Milliseconds } from '#core/units'
import { restAsLed } from './ahead.ts'
import { singlesThatDo } from './leave-out.ts'
import type { Wanted } from './ways.ts'

/** It is told at the last moment: so long before it is past. */
const toldMs = 45_000

/**
 * The one pose that can still be left out to end when the class is to, where it is the next to begin and no later one would
 * do: once it has begun, leaving one out is not enough any more. Undefined before the last moment, and where none would do.
 */
export function lastChance({ plan, state, book, endMs }: Wanted): string | undefined {
  const rest = restAsLed(plan, state, book)
  if (rest.endsMs <= endMs || state.phase === 'ended') return undefined
  const next = rest.blocks[rest.firstAt]
  if (!next || beginsInMs(rest) > toldMs) return undefined
  const would = singlesThatDo(rest, { lengths: state.lengths, leaves: state.leaves, changed: [] }, endMs)
  return would.length === 1 && would[0] === next.id ? next.id : undefined
}

/** How long until the first block that has not begun begins. */
function beginsInMs({ state, blocks, firstAt, endsMs }: ReturnType<typeof restAsLed>): Milliseconds {
  const aheadMs = blocks
    .slice(firstAt)
    .flatMap(({ segments }) => segments)
    .reduce((sum, { index }) => sum + (state.lengths[index] ?? 0), 0)
  return endsMs - aheadMs - state.nowMs
}
