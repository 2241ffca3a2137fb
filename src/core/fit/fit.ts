import type { Block, HoldBlock } from '#model/block'
import type { Target } from '#model/pose'
import type { Session } from '#model/session'
import { applyEdit } from '#core/session'
import type { Catalog, Edit, ResolvedHold } from '#core/session'
import { compileToFit } from '#core/timeline'
import type { Timeline } from '#core/timeline'
import { orThrow } from '#core/result'
import type { Milliseconds, Seconds } from '#core/units'

/** Something that stands in the way of the wanted length: a side of a hold or the final rest at its least, or a whole block that must stay. */
export interface AtFloor {
  readonly blockId: string
  readonly of: 'side' | 'final rest' | 'block'
  readonly leastS: Seconds
}

/** What a fit comes to. The session is the one it was given when nothing changes. */
export interface Fit {
  readonly session: Session
  /** What brings the session there, to be done as one step. */
  readonly edits: readonly Edit[]
  readonly totalMs: Milliseconds
  /** By how much it still is too long; 0 when it fits. */
  readonly overMs: Milliseconds
  /** Where it is too long: what cannot go lower. */
  readonly inTheWay: readonly AtFloor[]
  /** Areas that were asked for and could not be kept. */
  readonly missed: readonly Target[]
}

/** What a fit has to say besides its edits. */
interface Said {
  readonly inTheWay?: readonly AtFloor[]
  readonly missed?: readonly Target[]
}

/** The session with the edits done, measured by compiling it. Throws where an edit cannot be done. */
export function fitOf(
  session: Session,
  edits: readonly Edit[],
  catalog: Catalog,
  { inTheWay = [], missed = [] }: Said = {},
): Fit {
  const fitted = edits.length === 0 ? session : orThrow(applyEdit(session, { type: 'several', edits })).session
  const { totalMs } = orThrow(compileToFit(fitted, catalog))
  const overMs = Math.max(0, totalMs - session.lengthS * 1000)
  return { session: fitted, edits, totalMs, overMs, inTheWay: overMs > 0 ? inTheWay : [], missed }
}

/** Whole seconds to spare, below 0 when it is too long by any part of a second. */
export const spareSeconds = (timeline: Timeline, session: Session): Seconds =>
  Math.floor((session.lengthS * 1000 - timeline.totalMs) / 1000)

/** The block of a hold with other seconds on its sides; sides that were unlinked stay so. */
export function withHold({ block, sides }: ResolvedHold, secondsOn: readonly Seconds[]): HoldBlock {
  const on = (side: 'left' | 'right') => secondsOn[sides.findIndex((held) => held.side === side)] ?? secondsOn[0] ?? 0
  if (block.hold && 'leftS' in block.hold && sides.length > 1) {
    return { ...block, hold: { ...block.hold, leftS: on('left'), rightS: on('right') } }
  }
  return { ...block, hold: { holdS: Math.max(...secondsOn) } }
}

export const replacing = (block: Block): Edit => ({ type: 'replace', block })
