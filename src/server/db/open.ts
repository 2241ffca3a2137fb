import { existsSync } from 'node:fs'
import { Sequelize } from 'sequelize'
import { systemClock } from '#server/clock'
import type { Clock } from '#server/clock'
import { defineModels } from './models.ts'
import type { Models } from './models.ts'
import { failureCode } from './failures.ts'
import { migrate, refuseFuture } from './migrate.ts'
import { cannotOpen, checkWhole, copyBeside, keepPrivate, makeFolder } from './opening.ts'
import { makeWrites, waitForClosing } from './writes.ts'
import type { Work } from './writes.ts'

/** A database that is in no file. */
export const inMemory = ':memory:'

export interface Database {
  readonly sequelize: Sequelize
  readonly models: Models
  /** Runs work that reads before it writes, so that nobody writes in between; every write goes through here. */
  inTransaction<T>(work: Work<T>): Promise<T>
  /** What was taken away goes from the journal beside the file as well, as far as nobody reads there just now. */
  forgetRemoved(): Promise<void>
  close(): Promise<void>
}

/**
 * Opens the database at a path (`:memory:` for none on disk), brings it up to the newest migration and returns its
 * models. The only place that knows it is SQLite. Sequelize switches foreign keys on for every connection; `synchronous`
 * stays at SQLite's own FULL. Throws a CannotOpen whose sentence names the file, which is then as it was.
 */
export async function openDatabase(storage: string, clock: Clock = systemClock): Promise<Database> {
  const sequelize = new Sequelize({ dialect: 'sqlite', storage, logging: false })
  const closed = waitForClosing(sequelize)
  try {
    await (storage === inMemory
      ? migrate(sequelize, storage, () => Promise.resolve())
      : openFile(sequelize, storage, clock))
  } catch (error) {
    // What was never opened is never done with closing either.
    if (failureCode(error) !== 'SQLITE_CANTOPEN') await sequelize.close().catch(() => undefined)
    throw cannotOpen(storage, error)
  }
  const { inTransaction, settled } = makeWrites(sequelize, closed)
  return {
    sequelize,
    models: defineModels(sequelize),
    inTransaction,
    async forgetRemoved() {
      await settled()
      await sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)')
    },
    async close() {
      // A window that was closed in the middle of a save leaves its transaction running: it is let finish.
      await settled()
      await sequelize.close()
    },
  }
}

async function openFile(sequelize: Sequelize, file: string, clock: Clock): Promise<void> {
  const isNew = !existsSync(file)
  makeFolder(file)
  if (!isNew) {
    await checkWhole(sequelize, file)
    await refuseFuture(sequelize, file)
  }
  await sequelize.query('PRAGMA journal_mode = WAL')
  keepPrivate(file)
  await migrate(sequelize, file, (first) => copyBeside(sequelize, file, `before-${first.slice(0, 3)}`, clock))
}
