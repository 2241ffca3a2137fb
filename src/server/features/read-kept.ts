import type { ZodSafeParseResult } from 'zod'
import { ProblemError } from '#server/problems'

interface Expected {
  /** What it is, as a sentence calls it. */
  readonly kind: string
  /** The newest schema this Zovrin reads, where the document names its own. */
  readonly known?: number
}

/**
 * What the database keeps, read as what it should be. Throws SCHEMA_NEWER for what a newer Zovrin wrote, and
 * DOCUMENT_UNREADABLE for anything else that is not as it should be: no fault of the request, and none of the server.
 */
export function readKept<T>(
  stored: string,
  { kind, known }: Expected,
  read: (document: unknown) => ZodSafeParseResult<T>,
): T {
  const document = parsed(stored)
  const schema = typeof document === 'object' && document !== null && 'schema' in document ? document.schema : undefined
  if (known !== undefined && typeof schema === 'number' && schema > known)
    throw new ProblemError('SCHEMA_NEWER', { schema, known }, { path: 'schema' })
  const result = read(document)
  if (!result.success) throw new ProblemError('DOCUMENT_UNREADABLE', { kind })
  return result.data
}

function parsed(stored: string): unknown {
  try {
    return JSON.parse(stored)
  } catch {
    return undefined
  }
}
