import { systemClock } from '#server/clock'
import type { Clock } from '#server/clock'
import type { Database } from './database.ts'
import { isPostgres } from './address.ts'
import { openSqlite } from './sqlite.ts'

export type { Database } from './database.ts'
export { inMemory } from './sqlite.ts'

/** Opens the database in a file, or at the address of a PostgreSQL server. Throws a CannotOpen. */
export async function openDatabase(where: string, clock: Clock = systemClock): Promise<Database> {
  if (!isPostgres(where)) return openSqlite(where, clock)
  // The way to a PostgreSQL server is loaded where there is one.
  const { openPostgres } = await import('./postgres.ts')
  return openPostgres(where)
}
