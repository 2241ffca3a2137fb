import type { BasePosition } from '#model/common'
import type { Seconds } from '#core/units'
import type { ChangeTable } from './catalog.ts'
import type { Resolved } from './resolved.ts'

/**
 * Seconds of the change before a block if people came to it from another base position (`undefined`: from
 * nowhere, at the start). A time set in the block or the session stays as it is; a talk has no change.
 */
export function changeAfter(resolved: Resolved, from: BasePosition | undefined, changes: ChangeTable): Seconds {
  if (resolved.kind === 'talk') return 0
  const { changeS, toPosition } = resolved
  if (changeS.from === 'block' || changeS.from === 'session') return changeS.value
  const movingS = from === undefined || takesPosition(resolved) ? 0 : changes[from][toPosition]
  const fetchingS = resolved.kind === 'hold' ? (resolved.pose.times.changeS ?? 0) : 0
  return Math.max(movingS, fetchingS)
}

/** Whether a block is done in whatever position people are in: a rest that names none. */
export const takesPosition = (resolved: Resolved): boolean =>
  resolved.kind === 'rest' && resolved.block.basePosition === undefined

/** The base position a block leaves people in; a talk and a rest that names none leave it as it was. */
export function positionAfter(resolved: Resolved, from: BasePosition | undefined): BasePosition | undefined {
  switch (resolved.kind) {
    case 'talk':
      return from
    case 'hold':
      return resolved.pose.base.leave
    case 'movement':
      return resolved.movement.base.leave
    case 'closing':
      return 'seated'
    case 'breath':
      return resolved.toPosition
    case 'rest':
      return takesPosition(resolved) ? (from ?? 'supine') : resolved.toPosition
  }
}
