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
    throw new ProblemError(
      'UNKNOWN_REFERENCE',
      { path: compiled.path, id: String(compiled.facts['id']) },
      { path: compiled.path },
    )
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
  const [first] = refusals
  const more = refusals.length > 1 ? ` And ${String(refusals.length - 1)} more.` : ''
  return new ProblemError(
    'DOCUMENT_REFUSED',
    { first: `${first?.sentence ?? ''}${more}` },
    { path: first?.path ?? 'document', refusals },
  )
}
