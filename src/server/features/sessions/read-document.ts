import type { Transaction } from 'sequelize'
import { slipsIn } from '#core/session'
import type { Catalog } from '#core/session'
import { inTheWayOf } from '#core/timeline'
import { anySessionSchema } from '#model/lift'
import type { Refusal } from '#model/refusal'
import { sessionSchemaVersion } from '#model/session'
import type { Session } from '#model/session'
import { readAs } from '#server/http/read-as'
import { ProblemError } from '#server/problems'

/** A session document as it came in, of whatever schema, validated and as this build has it. Throws SCHEMA_NEWER or DOCUMENT_REFUSED with the refusals. */
export function readSessionDocument(body: unknown): Session {
  refuseNewerSchema(body)
  const document = readAs(anySessionSchema, body)
  refuseSlips(slipsIn(document))
  return document
}

/** Throws DOCUMENT_REFUSED where there are any. */
export function refuseSlips(refusals: readonly Refusal[]): void {
  if (refusals[0]) throw new ProblemError('DOCUMENT_REFUSED', {}, { path: refusals[0].path, refusals: [...refusals] })
}

/** Looks whether a session can be planned with what there is at the moment it is written. */
export type PlanCheck = (document: Session, transaction: Transaction) => Promise<void>

/**
 * Refuses what cannot be planned, so that nothing is kept that cannot be opened. Throws UNKNOWN_REFERENCE for something
 * that is nowhere, DOCUMENT_REFUSED for what is past the limits.
 */
export function refuseUnplannable(document: Session, catalog: Catalog): void {
  const [first, ...others] = inTheWayOf(document, catalog)
  if (!first) return
  if (first.code === 'UNKNOWN_REFERENCE' || first.code === 'TECHNIQUE_NOT_COUNTED')
    throw new ProblemError(first.code, first.facts, { path: first.path })
  throw new ProblemError('DOCUMENT_REFUSED', {}, { path: first.path, refusals: [first, ...others] })
}

function refuseNewerSchema(body: unknown): void {
  const schema = typeof body === 'object' && body !== null && 'schema' in body ? body.schema : undefined
  if (typeof schema === 'number' && schema > sessionSchemaVersion) {
    throw new ProblemError('SCHEMA_NEWER', { schema, known: sessionSchemaVersion }, { path: 'schema' })
  }
}
