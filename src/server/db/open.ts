import { systemClock } from '#server/clock'
import type { Clock } from '#server/clock'
import type { Database } from './database.ts'
import { isPostgres } from './address.ts'
import { openPostgres } from './postgres.ts'
import { openSqlite } from './sqlite.ts'

export type { Database } from './database.ts'
export { inMemory } from './sqlite.ts'

/** Opens the database in a file, or at the address of a PostgreSQL server. Throws a CannotOpen. */
export const openDatabase = (where: string, clock: Clock = systemClock): Promise<Database> =>
  isPostgres(where) ? openPostgres(where) : openSqlite(where, clock)
