import type { Milliseconds } from '#core/units'
import type { LeadPlan, LeadSegment } from '../lead-plan.ts'
import type { LeadState } from '../lead-state.ts'
import { projectedEndMs } from '../run.ts'
import { orderedPlan, wholePlan } from '../order.ts'

import type { RefitBook } from './book.ts'
import { orderedBook } from './ordered-book.ts'
import { firstAhead } from './refitted.ts'

/** A block of the plan with its segments. */
export interface BlockAhead {
  readonly id: string
  readonly segments: readonly LeadSegment[]
  /**
   * The segment in which people come into it: its change, or where they stay as they are what is arranged first, which
   * takes a change besides where they come from elsewhere. Absent where there is neither.
   */
  readonly entered: LeadSegment | undefined
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
  /** Where people come from into each block as it is planned, by its place: a block after which they are there. */
  readonly plannedFrom: ReadonlyMap<number, number | undefined>
}

export function restOf(plan: LeadPlan, state: LeadState, book: RefitBook): Rest {
  const segments: LeadSegment[][] = book.blocks.map(() => [])
  for (const segment of plan.segments) segments[segment.blockIndex]?.push(segment)
  return {
    ...{ state, book, endsMs: projectedEndMs(plan, state) },
    blocks: segments.map((own) => ({
      ...{ id: own[0]?.blockId ?? '', segments: own },
      entered: own.find(({ doing }) => doing.kind === 'change') ?? own.find(({ doing }) => doing.kind === 'setUp'),
    })),
    firstAt: plan.segments[firstAhead(plan, state)]?.blockIndex ?? book.blocks.length,
    plannedFrom: plannedFrom(state, book),
  }
}

/** The walk through the plan in its own order, told by places in the order in which it is led. */
function plannedFrom({ order }: LeadState, { blocks }: RefitBook): ReadonlyMap<number, number | undefined> {
  const walk = blocks.map((_, at) => at)
  if (order) walk.sort((a, b) => (order[a] ?? 0) - (order[b] ?? 0))
  const from = new Map<number, number | undefined>()
  let stand: number | undefined
  for (const at of walk) {
    from.set(at, stand)
    stand = blocks[at]?.leaves(stand)
  }
  return from
}

/** How long what people come into a block in is, from where they are: as planned from there, else with that change. */
export function enteredMs(
  { book, blocks, plannedFrom: planned }: Rest,
  at: number,
  stand: number | undefined,
): Milliseconds {
  const { doing, lengthMs = 0 } = blocks[at]?.entered ?? {}
  if (stand === planned.get(at)) return lengthMs
  const changeMs = (book.blocks[at]?.changeS(stand) ?? 0) * 1000
  return doing?.kind === 'change' ? changeMs : lengthMs + changeMs
}

/** The same of a plan as it was made: with its blocks in the order in which they are led. */
export const restAsLed = (plan: LeadPlan, state: LeadState, book: RefitBook): Rest =>
  restOf(orderedPlan(wholePlan(plan), state.order), state, orderedBook(book, state.order))

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
export function leavingOut(rest: Rest, leaves: ReadonlySet<string>): Milliseconds[] {
  const { state, book, blocks, firstAt } = rest
  const lengths = [...state.lengths]
  const before = new Set(state.leaves)
  let stand: number | undefined
  for (const [at, { id, segments, entered }] of blocks.entries()) {
    const candidate = book.blocks[at]
    const isAhead = at >= firstAt
    const isLeft = isAhead ? leaves.has(id) : before.has(id)
    if (isAhead && isLeft) for (const { index } of segments) lengths[index] = 0
    if (isAhead && !isLeft && before.has(id)) for (const { index, lengthMs } of segments) lengths[index] = lengthMs
    if (isAhead && !isLeft && entered) lengths[entered.index] = enteredMs(rest, at, stand)
    if (!isLeft) stand = candidate?.leaves(stand)
  }
  return lengths
}
