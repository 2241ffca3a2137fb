import type { Level } from '#model/common'
import { changeover } from '#core/handling'
import type { Changeover } from '#core/handling'
import type { Timeline } from '#core/timeline'
import type { Used } from './used.ts'

/** What changes hands from one set-up of the session to the next. */
export interface BetweenSetUps extends Changeover {
  readonly key: string
  /** Absent before the first: all of it is brought. */
  readonly from: string | undefined
  readonly to: string
}

interface Session {
  readonly used: readonly Used[]
  readonly timeline: Pick<Timeline, 'blocks'>
  readonly level: Level
}

/**
 * Every change of props in a session, in its order. What stands between two set-ups leaves the props lying [settled A20];
 * where people change their base position on the way, all of it is off and laid anew.
 */
export function betweenSetUps({ used, timeline, level }: Session): readonly BetweenSetUps[] {
  return used.flatMap((one, at) => {
    const before = used[at - 1]
    const baseChanges = before !== undefined && positionChanges(timeline, before, one)
    const change = changeover({ from: before?.items ?? [], to: one.items, level, baseChanges })
    return change.ok ? [{ ...change.value, key: one.key, from: before?.name, to: one.name }] : []
  })
}

/** Whether people leave their base position anywhere from one set-up to another. */
function positionChanges({ blocks }: Pick<Timeline, 'blocks'>, from: Used, to: Used): boolean {
  const placeOf = (used: Used) => blocks.findIndex(({ block }) => block.block.id === used.block.id)
  return blocks
    .slice(placeOf(from) + 1, placeOf(to) + 1)
    .some(({ change }) => change?.from !== undefined && change.from !== change.to)
}
