import type { z } from 'zod'
import { refusalsOf } from '#model/refusal'
import { mostTold, ProblemError } from '#server/problems'

/** What came in, as its schema has it. Throws DOCUMENT_REFUSED with what stands in the way. */
export function readAs<Schema extends z.ZodType>(schema: Schema, body: unknown): z.infer<Schema> {
  const read = schema.safeParse(body)
  if (!read.success) throw documentRefused(read.error)
  return read.data
}

export function documentRefused(error: z.ZodError): ProblemError {
  const refusals = refusalsOf(error.issues.slice(0, mostTold))
  const total = Math.max(error.issues.length, refusals.length)
  return new ProblemError('DOCUMENT_REFUSED', {}, { path: refusals[0]?.path ?? 'document', refusals, total })
}
