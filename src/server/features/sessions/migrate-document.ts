import { anySessionSchema } from '#model/lift'
import { sessionSchemaVersion } from '#model/session'
import type { Session } from '#model/session'
import { readKept } from '#server/features/read-kept'

/**
 * A stored document in the current schema, whichever it was written in, validated on the way out. Throws SCHEMA_NEWER or
 * DOCUMENT_UNREADABLE: one that cannot be read is told where it is asked for, and stands in the way of nothing else.
 */
export const migrateDocument = (stored: string): Session =>
  readKept(stored, { kind: 'session', known: sessionSchemaVersion }, (document) => anySessionSchema.safeParse(document))

/** The same, or undefined where it cannot be read. */
export function readableDocument(stored: string): Session | undefined {
  try {
    return migrateDocument(stored)
  } catch {
    return undefined
  }
}
