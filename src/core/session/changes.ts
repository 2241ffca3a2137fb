import type { BasePosition } from '#model/common'
import type { Seconds } from '#core/units'
import type { ChangeTable } from './catalog.ts'
import type { Resolved, ResolvedTalk, Sourced } from './resolved.ts'

/** How people come into a block: from which base position (`undefined` at the start) to which, and how long it takes. */
export interface Change {
  readonly from: BasePosition | undefined
  readonly to: BasePosition
  readonly changeS: Sourced<Seconds>
}

/**
 * The changes between the blocks of a session, whichever is done after which. Blocks are told by their place in the
 * session as it was resolved; `before` is the last block with a place of its own, undefined at the start.
 */
export interface Changes {
  /** The change into a block; a talk has none. */
  readonly into: (block: number, before: number | undefined) => Change | undefined
  /** The block whose place people are in after a block: its own, or the one before where it has none. */
  readonly placeAfter: (block: number, before: number | undefined) => number | undefined
  /** The first of the blocks after which every change is as after this one. */
  readonly alike: (block: number) => number
}

/** The pass between resolving and laying out: what it costs to come to every block from every other. */
export function changesBetween(resolved: readonly Resolved[], costs: ChangeTable): Changes {
  const into = (at: number, before: number | undefined): Change | undefined => {
    const block = resolved[at]
    if (!block || block.kind === 'talk') return undefined
    const from = before === undefined ? undefined : positionAfter(resolved[before])
    const to = takesPosition(block, from) ? (from ?? unsaid) : enters(block)
    return {
      from,
      to,
      changeS: changeSeconds(block, from === undefined ? 0 : costs[from][to], from === to && isGoneTo(to)),
    }
  }
  const costAfter = (before: number): string =>
    resolved.map((_, at) => String(into(at, before)?.changeS.value ?? '')).join(' ')
  let first: ReadonlyMap<string, number> | undefined
  return {
    into,
    placeAfter: (at, before) => {
      const block = resolved[at]
      if (!block || block.kind === 'talk') return before
      return takesPosition(block, before === undefined ? undefined : positionAfter(resolved[before]))
        ? (before ?? at)
        : at
    },
    alike: (at) => {
      first ??= firstOfEach(resolved.map((_, other) => costAfter(other)))
      return first.get(costAfter(at)) ?? at
    },
  }
}

const firstOfEach = (keys: readonly string[]): ReadonlyMap<string, number> =>
  new Map(keys.map((key, at) => [key, at] as const).reverse())

/** A chair and the wall are places one goes to [decisions]: who is there has what is shipped for it. */
const isGoneTo = (position: BasePosition): boolean => position === 'onChair' || position === 'atWall'

/** The document's or the learned time as it is, else the longer of moving and of fetching what the block needs. */
function changeSeconds(
  { change }: Exclude<Resolved, ResolvedTalk>,
  movingS: Seconds,
  isThere: boolean,
): Sourced<Seconds> {
  if (change.set) return change.set
  const isAtHand = isThere && change.fetching.from === 'shipped'
  return !isAtHand && change.fetching.value > movingS ? change.fetching : { value: movingS, from: 'position' }
}

/** Where people rest who come from nowhere to a rest that names no position. */
const unsaid: BasePosition = 'supine'

/** Whether a block is done in the position people are in: a rest that names none, a movement that is done there too. */
function takesPosition(resolved: Resolved, from: BasePosition | undefined): boolean {
  if (resolved.kind === 'movement') return from !== undefined && (resolved.movement.alsoIn?.includes(from) ?? false)
  return resolved.kind === 'rest' && resolved.block.basePosition === undefined
}

/** Where a block with a place of its own is done. */
const enters = (resolved: Exclude<Resolved, ResolvedTalk>): BasePosition =>
  resolved.kind === 'movement' ? resolved.movement.base.enter : resolved.toPosition

/** The base position a block with a place of its own leaves people in. */
function positionAfter(resolved: Resolved | undefined): BasePosition | undefined {
  switch (resolved?.kind) {
    case 'hold':
      return resolved.pose.base.leave
    case 'movement':
      return resolved.movement.base.leave
    case 'closing':
      return 'seated'
    case 'breath':
      return resolved.seats.at(-1)?.position ?? resolved.toPosition
    case 'rest':
      return resolved.block.basePosition ?? unsaid
    case 'talk':
    case undefined:
      return undefined
  }
}

/** The same over a walk: what has no place of its own leaves people where they were. */
export const positionLeft = (resolved: Resolved, from: BasePosition | undefined): BasePosition | undefined =>
  resolved.kind === 'talk' || (takesPosition(resolved, from) && from !== undefined) ? from : positionAfter(resolved)
