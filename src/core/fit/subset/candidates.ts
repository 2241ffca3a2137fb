import type { Target } from '#model/pose'
import { changesBetween } from '#core/session'
import type { ChangeCosts, Resolved } from '#core/session'
import type { Timeline } from '#core/timeline'
import { msFromS } from '#core/units'
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
  /** Seconds of the change into it from the block whose place people are in; undefined at the start. */
  readonly changeS: (before: number | undefined) => Seconds
  /** The block whose place people are in after it: of those after which every change is the same, the first. */
  readonly leaves: (before: number | undefined) => number | undefined
}

/** The blocks of a session as candidates. Talk and closing must stay unless they say otherwise. */
export function candidatesOf(timeline: Timeline, costs: ChangeCosts): Candidate[] {
  const blocks = timeline.blocks.map(({ block }) => block)
  const changes = changesBetween(blocks, costs)
  const counterOf = new Map(counterLinks(blocks).map(({ of, by }) => [by, of]))
  return timeline.blocks.map(({ block, change, startMs, endMs }, index) => {
    const changeMs = msFromS(change?.changeS.value ?? 0)
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
      changeS: (before) => changes.into(index, before)?.changeS.value ?? 0,
      leaves: (before) => changes.after(index, before),
    }
  })
}

/** What stays where the teacher said nothing [decisions: talk and closing must stay, all else rather stay]. */
const unsetPriority = (kind: Resolved['kind']) => (kind === 'talk' || kind === 'closing' ? 'must' : 'rather')

function heldSeconds(block: Resolved): Seconds {
  return block.kind === 'hold' ? sumOf(block.sides.map(({ holdS }) => holdS)) : 0
}
