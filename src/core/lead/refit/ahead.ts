import type { Milliseconds } from '#core/units'
import type { LeadPlan, LeadSegment } from '../lead-plan.ts'
import type { LeadState } from '../lead-state.ts'
import { projectedEndMs } from '../run.ts'
import type { RefitBook } from './book.ts'
import { firstAhead } from './refitted.ts'

/** A block of the plan with its segments. */
export interface BlockAhead {
  readonly id: string
  readonly segments: readonly LeadSegment[]
  /** The segment in which people come into it; absent where they stay as they are. */
  readonly change: LeadSegment | undefined
}

/** The rest of a class as it may be led otherwise. */
export interface Rest {
  readonly state: LeadState
  readonly book: RefitBook
  /** All blocks of the plan, by their places in it; those from `firstAt` on have not begun. */
  readonly blocks: readonly BlockAhead[]
  readonly firstAt: number
  /** When the class ends as it stands. */
  readonly endsMs: Milliseconds
}

export function restOf(plan: LeadPlan, state: LeadState, book: RefitBook): Rest {
  const segments: LeadSegment[][] = book.blocks.map(() => [])
  for (const segment of plan.segments) segments[segment.blockIndex]?.push(segment)
  return {
    ...{ state, book, endsMs: projectedEndMs(plan, state) },
    blocks: segments.map((own) => ({
      ...{ id: own[0]?.blockId ?? '', segments: own },
      change: own.find(({ doing }) => doing.kind === 'change'),
    })),
    firstAt: plan.segments[firstAhead(plan, state)]?.blockIndex ?? book.blocks.length,
  }
}

/** The blocks that have not begun and are not left out. */
export const aheadIn = ({ blocks, firstAt }: Rest, leaves: ReadonlySet<string>): readonly BlockAhead[] =>
  blocks.slice(firstAt).filter(({ id, segments }) => segments.length > 0 && !leaves.has(id))

/** When the class ends with other lengths of what has not begun. */
export const endWith = ({ state, endsMs }: Rest, lengths: readonly Milliseconds[]): Milliseconds =>
  lengths.reduce((end, ms, index) => end + ms - (state.lengths[index] ?? 0), endsMs)

/**
 * Lengths with exactly some blocks left out: these take no time, the others what is set for them, and who comes into one
 * from elsewhere than planned takes what that change takes. A block that was left out before and is put back has its
 * planned times.
 */
export function leavingOut({ state, book, blocks, firstAt }: Rest, leaves: ReadonlySet<string>): Milliseconds[] {
  const lengths = [...state.lengths]
  const before = new Set(state.leaves)
  let stand: number | undefined
  /** Where people would be had nothing been left out. */
  let plannedStand: number | undefined
  for (const [at, { id, segments, change }] of blocks.entries()) {
    const candidate = book.blocks[at]
    const isAhead = at >= firstAt
    const isLeft = isAhead ? leaves.has(id) : before.has(id)
    if (isAhead && isLeft) for (const { index } of segments) lengths[index] = 0
    if (isAhead && !isLeft && before.has(id)) for (const { index, lengthMs } of segments) lengths[index] = lengthMs
    if (isAhead && !isLeft && change && candidate)
      lengths[change.index] = stand === plannedStand ? change.lengthMs : candidate.changeS(stand) * 1000
    plannedStand = candidate?.leaves(plannedStand)
    if (!isLeft) stand = candidate?.leaves(stand)
  }
  return lengths
}
