import { sessionSchema } from '#model/session'
import type { Session } from '#model/session'

/**
 * A stored document in the current schema, validated on the way out. Schema 1 is the first, so there is
 * nothing to lift yet: a later schema adds its step here, from each number to the next.
 */
export const migrateDocument = (stored: unknown): Session => sessionSchema.parse(stored)
