import type { BasePosition } from '#model/common'
import type { SetUpItem } from '#model/set-up'
import type { Resolved, ResolvedTalk } from './resolved.ts'

/** Where people are, and what lies there. */
export interface Stand {
  /** Undefined until the first block that has one. */
  readonly position: BasePosition | undefined
  readonly items: readonly SetUpItem[]
  /** People left their position since it was laid: all of it is off. */
  readonly isOff: boolean
}

export const atStart: Stand = { position: undefined, items: [], isOff: false }

const lying: ReadonlySet<BasePosition> = new Set(['supine', 'prone', 'sideLying', 'atWall'])
/** Whether people lie in a base position, with the legs up a wall too. */
export const isLying = (position: BasePosition): boolean => lying.has(position)

/** Whether it ends with sitting up, wherever it was done. */
const endsSitting = (resolved: Resolved): boolean =>
  resolved.kind === 'closing' || (resolved.kind === 'rest' && resolved.ending !== undefined)

/** Where people rest who come from nowhere to a rest that names no position. */
const unsaid: BasePosition = 'supine'

/** Whether a block is done in the position people are in: a rest that names none, a movement that is done there too. */
function takesPosition(resolved: Resolved, from: BasePosition | undefined): boolean {
  if (resolved.kind === 'movement') return from !== undefined && (resolved.movement.alsoIn?.includes(from) ?? false)
  return resolved.kind === 'rest' && resolved.block.basePosition === undefined
}

/** Whether a block may be done where people are, wherever that is; it says nothing of where it leaves them then. */
export const mayTakePosition = (resolved: Resolved): boolean =>
  resolved.kind === 'movement'
    ? (resolved.movement.alsoIn?.length ?? 0) > 0
    : resolved.kind === 'rest' && resolved.block.basePosition === undefined

/** Where a block is done. */
export function enteredFrom(resolved: Exclude<Resolved, ResolvedTalk>, from: BasePosition | undefined): BasePosition {
  if (takesPosition(resolved, from)) return from ?? unsaid
  return resolved.kind === 'movement' ? resolved.movement.base.enter : resolved.toPosition
}

/** The base position a block with a place of its own leaves people in. */
function positionAfter(resolved: Exclude<Resolved, ResolvedTalk>): BasePosition {
  switch (resolved.kind) {
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
  }
}

/** The position a block leaves people in who come from one: what has no place of its own leaves them where they were. */
export const positionLeft = (resolved: Resolved, from: BasePosition | undefined): BasePosition | undefined =>
  endsSitting(resolved)
    ? 'seated'
    : resolved.kind === 'talk' || (takesPosition(resolved, from) && from !== undefined)
      ? from
      : positionAfter(resolved)

/** Where each block of a session is done, in its order; a talk is where people are by then, nowhere yet at the start. */
export function positionsAlong(blocks: readonly Resolved[]): readonly (BasePosition | undefined)[] {
  let from: BasePosition | undefined
  return blocks.map((block) => {
    const here = block.kind === 'talk' ? from : enteredFrom(block, from)
    from = positionLeft(block, from)
    return here
  })
}

/**
 * What a block is set up with. A hold or a closing without anything has nothing lie there; a talk, breath work, a rest or
 * a movement without a set-up leave the props lying as they are: undefined [settled A20].
 */
export function itemsLaid(resolved: Resolved): readonly SetUpItem[] | undefined {
  if (resolved.kind === 'talk' || resolved.kind === 'movement') return undefined
  const items = resolved.setUp?.value.items
  return resolved.kind === 'hold' || resolved.kind === 'closing' ? (items ?? []) : items
}

/** Where people are after a block, and what lies there then. */
export function standAfter(resolved: Resolved, before: Stand): Stand {
  if (resolved.kind === 'talk') return before
  const entered = enteredFrom(resolved, before.position)
  const position = positionLeft(resolved, before.position)
  const laid = itemsLaid(resolved)
  const items = laid ? lastLaid(resolved, laid) : before.items
  const wasOff = laid === undefined && (before.isOff || (before.position !== undefined && before.position !== entered))
  return { position, items, isOff: items.length > 0 && (wasOff || position !== entered) }
}

/** A step in mid-hold leaves what lies there otherwise than it was laid. */
const lastLaid = (resolved: Resolved, laid: readonly SetUpItem[]): readonly SetUpItem[] =>
  (resolved.kind === 'hold' ? resolved.block.steps?.at(-1)?.items : undefined) ?? laid
