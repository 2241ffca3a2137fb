import type { Level } from '#model/common'
import type { Session } from '#model/session'
import { changeover } from '#core/handling'
import type { Changeover } from '#core/handling'
import { compareSessions } from '#core/session'
import type { Catalog } from '#core/session'
import type { Timeline } from '#core/timeline'
import type { Seconds } from '#core/units'
import { blockNameIn } from '#words/blocks'
import type { Used } from './used.ts'

/** What changes hands from one set-up of the session to the next. */
export interface BetweenSetUps extends Changeover {
  readonly key: string
  /** Absent before the first: all of it is brought. */
  readonly from: string | undefined
  readonly to: string
  /** What the plan gives for it, coming over and showing it included. */
  readonly plannedS: Seconds
}

/** Every change of props in a session, in its order, as the plan has it: what stands between two set-ups leaves the props lying. */
export const betweenSetUps = (
  used: readonly Used[],
  { blocks }: Pick<Timeline, 'blocks'>,
  level: Level,
): readonly BetweenSetUps[] =>
  used.flatMap((one, at) => {
    const into = blocks.find(({ block }) => block.block.id === one.block.id)?.change
    const change = into?.laid && changeover({ ...into.laid, level })
    if (!into || !change?.ok) return []
    return [{ ...change.value, key: one.key, from: used[at - 1]?.name, to: one.name, plannedS: into.changeS.value }]
  })

/** What another order of a session moves, in words: each after what stands before it then. */
export function movedIn(from: Session, to: Session, catalog: Catalog): readonly string[] {
  const moved = new Set(compareSessions(from, to).flatMap((one) => (one.kind === 'moved' ? [one.block.id] : [])))
  return to.blocks.flatMap((block, at) => {
    const before = to.blocks[at - 1]
    if (!moved.has(block.id)) return []
    return [`${blockNameIn(block, catalog)} goes ${before ? `after ${blockNameIn(before, catalog)}` : 'to the start'}`]
  })
}
