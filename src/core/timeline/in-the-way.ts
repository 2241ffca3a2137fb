import type { Refusal } from '#model/refusal'
import type { Session } from '#model/session'
import { changeCosts, resolveSession, unknownReferences } from '#core/session'
import type { Catalog } from '#core/session'
import { pastLimitsOf } from './compile.ts'

/**
 * All that keeps a session from being planned and led: what it names and the catalog does not have; else a breath over a
 * hold that has no counts; else what is past the limits of what may be laid out and led. Empty where nothing does.
 */
export function inTheWayOf(session: Session, catalog: Catalog): Refusal[] {
  const unknown = unknownReferences(session, catalog)
  if (unknown.length > 0) return unknown.map(({ path, id }) => ({ code: 'UNKNOWN_REFERENCE', path, facts: { id } }))
  const resolved = resolveSession(session, catalog)
  if (resolved.ok) return pastLimitsOf(resolved.value, changeCosts(session, catalog))
  return [{ code: 'TECHNIQUE_NOT_COUNTED', path: resolved.field, facts: { id: String(resolved.extra?.['id']) } }]
}
