import { existsSync } from 'node:fs'
import { Sequelize } from 'sequelize'
import type { Clock } from '#server/clock'
import type { Database } from './database.ts'
import { defineModels } from './models.ts'
import { failureCode } from './failures.ts'
import { migrate, refuseFuture } from './migrate.ts'
import { cannotOpen, checkWhole, copyBeside, keepPrivate, makeFolder } from './opening.ts'
import { writeOwners } from './owned.ts'
import { makeWrites, sqliteSnapshot, sqliteWrite, waitForClosing } from './writes.ts'

/** A database that is in no file. */
export const inMemory = ':memory:'

/**
 * Opens the database in a file (`:memory:` for none), brings it up to the newest migration and returns its models. Sequelize
 * switches foreign keys on for every connection; `synchronous` stays at SQLite's own FULL. Throws a CannotOpen whose
 * sentence names the file, which is then as it was.
 */
export async function openSqlite(storage: string, clock: Clock): Promise<Database> {
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
  const { inTransaction, settled } = makeWrites(sequelize, { begin: sqliteWrite, closed })
  writeOwners(sequelize)
  const models = defineModels(sequelize)
  return {
    ...{ sequelize, models, all: models },
    inTransaction,
    // One that is in no file has but one connection.
    inSnapshot: (work) => (storage === inMemory ? inTransaction(work) : sqliteSnapshot(sequelize, work)),
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
