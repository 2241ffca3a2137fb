import type { Session } from '#model/session'
import { composedMostS } from '#model/limits'
import type { Refusal } from '#model/refusal'
import { ok, refused } from '#core/result'
import type { Result } from '#core/result'
import { beforeBreath, changeCosts, changesBetween, composedLong, pastLimits, resolveSession } from '#core/session'
import type { Catalog, ChangeCosts, Resolved } from '#core/session'
import { msFromS } from '#core/units'
import { checkTiles } from './check-tiles.ts'
import { layOut } from './lay-out.ts'
import { withOffer } from './offer.ts'
import { place } from './place.ts'
import { ring } from './ring.ts'
import type { Timeline } from './timeline.ts'

/**
 * The exact timeline of a session: contiguous half-open segments in integer milliseconds, and cues at
 * their instants. Refuses what `resolveSession` refuses, and what is past the limits before anything is laid out; the
 * same input gives an equal timeline.
 */
export function compileTimeline(session: Session, catalog: Catalog): Result<Timeline> {
  const resolved = resolveSession(session, catalog)
  if (!resolved.ok) return resolved
  const [past] = pastLimits(resolved.value)
  if (past) return refusedBy(past)
  const timeline = timelineOf(resolved.value, changeCosts(session, catalog), { ...session, offers: catalog.offers })
  const [long] = tooLong(timeline)
  return long ? refusedBy(long) : ok(timeline)
}

/**
 * As `compileTimeline`, of a session on its way to be fitted: it may be longer than one may be led, as long as what is
 * in it may be laid out.
 */
export function compileToFit(session: Session, catalog: Catalog): Result<Timeline> {
  const resolved = resolveSession(session, catalog)
  if (!resolved.ok) return resolved
  const past = pastLimits(resolved.value).find(({ code }) => code !== 'COMPOSED_LONG')
  return past
    ? refusedBy(past)
    : ok(timelineOf(resolved.value, changeCosts(session, catalog), { ...session, offers: catalog.offers }))
}

/** All that is past the limits of what may be laid out and led. */
export function pastLimitsOf(resolved: readonly Resolved[], costs: ChangeCosts): Refusal[] {
  const past = pastLimits(resolved)
  return past.length > 0 ? past : tooLong(timelineOf(resolved, costs))
}

const tooLong = ({ totalMs }: Timeline): Refusal[] => (totalMs > msFromS(composedMostS) ? [composedLong(totalMs)] : [])

const refusedBy = ({ code, path, facts }: Refusal) => refused(code, path, { ...facts })

/** The passes: find the changes between the blocks, lay out each in pieces, place them in time, ring the cues, check the whole. */
function timelineOf(
  resolved: readonly Resolved[],
  costs: ChangeCosts,
  session: Pick<Session, 'before'> & Pick<Catalog, 'offers'> = {},
): Timeline {
  const asked = { at: talkBeforeBreath(resolved), lines: beforeBreath(session, resolved) }
  const changes = changesBetween(resolved, costs)
  let before: number | undefined
  const laid = resolved.map((block, at) => {
    const change = changes.into(at, before)
    before = changes.after(at, before)
    const pieces = layOut(block, change, at === asked.at ? asked.lines : [])
    return { block, change, pieces: withOffer(pieces, session.offers?.get(block.block.id)) }
  })
  const placed = place(laid)
  return checkTiles({ ...placed, cues: ring(placed) })
}

/** Where what is asked before breath work is said: in the last talk before it. */
function talkBeforeBreath(resolved: readonly Resolved[]): number {
  const breath = resolved.findIndex(({ kind }) => kind === 'breath')
  return resolved.slice(0, Math.max(0, breath)).findLastIndex(({ kind }) => kind === 'talk')
}
