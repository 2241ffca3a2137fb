import { mkdirSync } from 'node:fs'
import { dirname } from 'node:path'
import { Sequelize } from 'sequelize'
import { defineModels } from './models.ts'
import type { Models } from './models.ts'
import { makeMigrator } from './migrate.ts'
import { makeWrites } from './writes.ts'
import type { Work } from './writes.ts'

export interface Database {
  readonly sequelize: Sequelize
  readonly models: Models
  /** Runs work that reads before it writes, so that nobody writes in between; every write goes through here. */
  inTransaction<T>(work: Work<T>): Promise<T>
  close(): Promise<void>
}

/**
 * Opens the database at a path (`:memory:` for none on disk), brings it up to the newest migration and
 * returns its models. The only place that knows it is SQLite. Sequelize switches foreign keys on for every
 * connection; `synchronous` stays at SQLite's own FULL.
 */
export async function openDatabase(storage: string): Promise<Database> {
  if (storage !== ':memory:') mkdirSync(dirname(storage), { recursive: true })
  const sequelize = new Sequelize({ dialect: 'sqlite', storage, logging: false })
  if (storage !== ':memory:') await sequelize.query('PRAGMA journal_mode = WAL')
  await makeMigrator(sequelize).up()
  const { inTransaction, settled } = makeWrites(sequelize)
  return {
    sequelize,
    models: defineModels(sequelize),
    inTransaction,
    async close() {
      // A window that was closed in the middle of a save leaves its transaction running: it is let finish.
      await settled()
      await sequelize.close()
    },
  }
}
