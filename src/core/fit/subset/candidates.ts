import type { BasePosition } from '#model/common'
import type { Target } from '#model/pose'
import { changeAfter, positionAfter } from '#core/session'
import type { ChangeTable, Resolved } from '#core/session'
import type { Timeline } from '#core/timeline'
import type { Milliseconds, Seconds } from '#core/units'
import { counterLinks } from '../counterposes.ts'
import { sumOf } from '../terms.ts'

/** What is worth keeping: "rather stay" three times "may go" [decisions, fits]. */
const worth = { rather: 3, may: 1, must: 3 } as const

/** A block as the choice of blocks sees it. */
export interface Candidate {
  readonly index: number
  readonly must: boolean
  readonly weight: number
  /** Its time without the change before it. */
  readonly ownMs: Milliseconds
  readonly heldS: Seconds
  readonly targets: readonly Target[]
  /** The candidate it counters: it goes when that goes, unless it must stay. */
  readonly counters: number | undefined
  /** Whether it may go although what it counters stays: only where the teacher said so. */
  readonly mayLeave: boolean
  readonly changeS: (from: BasePosition | undefined) => Seconds
  readonly leaves: (from: BasePosition | undefined) => BasePosition | undefined
}

/** The blocks of a session as candidates. Talk and closing must stay unless they say otherwise. */
export function candidatesOf(timeline: Timeline, changes: ChangeTable): Candidate[] {
  const blocks = timeline.blocks.map(({ block }) => block)
  const counterOf = new Map(counterLinks(blocks).map(({ of, by }) => [by, of]))
  return timeline.blocks.map(({ block, startMs, endMs, firstSegment }, index) => {
    const first = timeline.segments[firstSegment]
    const changeMs =
      first?.blockId === block.block.id && first.doing.kind === 'change' ? first.endMs - first.startMs : 0
    const { priority } = block.block
    const must = (priority ?? unsetPriority(block.kind)) === 'must'
    return {
      index,
      must,
      weight: worth[priority ?? 'rather'],
      ownMs: endMs - startMs - changeMs,
      heldS: heldSeconds(block),
      targets: block.kind === 'hold' ? block.pose.targets : [],
      counters: counterOf.get(index),
      mayLeave: priority === 'may',
      changeS: (from) => changeAfter(block, from, changes),
      leaves: (from) => positionAfter(block, from),
    }
  })
}

/** What stays where the teacher said nothing [decisions: talk and closing must stay, all else rather stay]. */
const unsetPriority = (kind: Resolved['kind']) => (kind === 'talk' || kind === 'closing' ? 'must' : 'rather')

function heldSeconds(block: Resolved): Seconds {
  return block.kind === 'hold' ? sumOf(block.sides.map(({ holdS }) => holdS)) : 0
}
