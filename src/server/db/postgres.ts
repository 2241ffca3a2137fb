import { Sequelize } from 'sequelize'
import type { Options } from 'sequelize'
import { shownAddress } from './address.ts'
import type { Database } from './database.ts'
import { migrate, refuseFuture } from './migrate.ts'
import { defineModels } from './models.ts'
import { listenAt } from './notices.ts'
import { cannotOpen } from './opening.ts'
import { writeOwners } from './owned.ts'
import { makeWrites, postgresSnapshot, postgresWrite } from './writes.ts'

/** Keys of the locks Zovrin takes of a PostgreSQL server; any numbers, so long as they stay as they are. */
const migrating = 4_180_001

/** A statement, or a transaction that nobody goes on with, is broken off after so long: no save waits behind it for ever. */
const usual: Options = {
  dialect: 'postgres',
  logging: false,
  dialectOptions: {
    application_name: 'zovrin',
    statement_timeout: 60_000,
    idle_in_transaction_session_timeout: 30_000,
  },
}

/**
 * Opens a database of a PostgreSQL server, brings it up to the newest migration and returns its models. Throws a CannotOpen
 * whose sentence names the address, without what it is entered with.
 */
export async function openPostgres(address: string): Promise<Database> {
  const shown = shownAddress(address)
  let notices: Awaited<ReturnType<typeof listenAt>>
  try {
    await bringUpToDate(address, shown)
    notices = await listenAt(address)
  } catch (error) {
    throw cannotOpen(shown, error)
  }
  const sequelize = new Sequelize(address, { ...usual, pool: { max: 10, min: 0, idle: 10_000, acquire: 30_000 } })
  const { inTransaction, settled } = makeWrites(sequelize, { begin: postgresWrite })
  writeOwners(sequelize)
  const models = defineModels(sequelize)
  return {
    ...{ sequelize, models, all: models },
    inTransaction,
    inSnapshot: (work) => postgresSnapshot(sequelize, work),
    // PostgreSQL clears away by itself what was taken away.
    forgetRemoved: settled,
    notices,
    async close() {
      await settled()
      await notices.close()
      await sequelize.close()
    },
  }
}

/** Migrations through one connection that stays the same; of two Zovrins that start at once the second waits [settled E12]. */
async function bringUpToDate(address: string, shown: string): Promise<void> {
  const sequelize = new Sequelize(address, {
    ...usual,
    dialectOptions: { application_name: 'zovrin, brought up to date' },
    pool: { max: 1, min: 1, idle: 3_600_000, evict: 3_600_000 },
  })
  try {
    await sequelize.query(`SELECT pg_advisory_lock(${String(migrating)})`)
    await refuseFuture(sequelize, shown)
    await migrate(sequelize, shown, () => Promise.resolve())
  } finally {
    // The lock goes with the connection.
    await sequelize.close()
  }
}
