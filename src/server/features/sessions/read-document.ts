import type { z } from 'zod'
import type { Catalog } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { refusalsOf } from '#model/refusal'
import { sessionSchema, sessionSchemaVersion } from '#model/session'
import type { Session } from '#model/session'
import { ProblemError } from '#server/problems'

/**
 * A session document as it came in, validated and compiled once, so that nothing is kept that cannot be
 * planned. Throws SCHEMA_NEWER, DOCUMENT_REFUSED (with every refusal) or UNKNOWN_REFERENCE.
 */
export function readSessionDocument(body: unknown, catalog: Catalog): Session {
  refuseNewerSchema(body)
  const read = sessionSchema.safeParse(body)
  if (!read.success) throw documentRefused(read.error)
  const compiled = compileTimeline(read.data, catalog)
  if (!compiled.ok) {
    const code = compiled.code === 'TECHNIQUE_NOT_COUNTED' ? 'TECHNIQUE_NOT_COUNTED' : 'UNKNOWN_REFERENCE'
    throw new ProblemError(code, { id: String(compiled.extra?.['id']) }, { path: compiled.field })
  }
  return read.data
}

function refuseNewerSchema(body: unknown): void {
  const schema = typeof body === 'object' && body !== null && 'schema' in body ? body.schema : undefined
  if (typeof schema === 'number' && schema > sessionSchemaVersion) {
    throw new ProblemError('SCHEMA_NEWER', { schema, known: sessionSchemaVersion }, { path: 'schema' })
  }
}

export function documentRefused(error: z.ZodError): ProblemError {
  const refusals = refusalsOf(error)
  return new ProblemError('DOCUMENT_REFUSED', {}, { path: refusals[0]?.path ?? 'document', refusals })
}
