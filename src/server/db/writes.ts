import { once } from 'node:events'
import type { EventEmitter } from 'node:events'
import type { Sequelize } from 'sequelize'
import { Transaction } from 'sequelize'

/** Work that reads and writes through one transaction, and comes to something. */
export type Work<T> = (transaction: Transaction) => Promise<T>

/** How a dialect runs work so that nobody else writes between its looks and its writes. */
type Begin = <T>(sequelize: Sequelize, work: Work<T>) => Promise<T>

/** SQLite has one writer. What is taken away or written over is not left lying in the file. */
export const sqliteWrite: Begin = (sequelize, work) =>
  sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, async (transaction) => {
    await sequelize.query('PRAGMA secure_delete = ON', { transaction })
    return work(transaction)
  })

/** The lock of whoever writes to a database of PostgreSQL; any number, so long as it stays as it is. */
const writing = 4_180_002

/**
 * With PostgreSQL as well one writes at a time, whichever process it is: what a write looks at goes across tables (whether
 * anything names a place that is taken away), where locks on rows guard nothing, and what it saw holds until it is done. The
 * lock ends with the transaction, also where its process is killed. Whoever only reads waits for nobody.
 */
export const postgresWrite: Begin = (sequelize, work) =>
  // Each statement sees what was written before it: one that waited for the lock sees what it waited for.
  sequelize.transaction({ isolationLevel: Transaction.ISOLATION_LEVELS.READ_COMMITTED }, async (transaction) => {
    await sequelize.query(`SELECT pg_advisory_xact_lock(${String(writing)})`, { transaction })
    return work(transaction)
  })

/** Work that only reads, as of one instant: beside whoever writes. */
export const sqliteSnapshot: Begin = (sequelize, work) =>
  sequelize.transaction({ type: Transaction.TYPES.DEFERRED }, work)
export const postgresSnapshot: Begin = (sequelize, work) =>
  sequelize.transaction({ isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ }, work)

interface Ways {
  readonly begin: Begin
  /** Until what transactions were done through is closed. */
  readonly closed?: () => Promise<unknown>
}

/**
 * The one door to the database for writing. Transactions that wait for each other inside SQLite hold a thread each, and with
 * five of them the one that could go on finds none; inside PostgreSQL they hold a connection each. So they wait here, in the
 * order in which they came, and a write that knows of no transaction is a mistake of ours and is refused.
 */
export function makeWrites(sequelize: Sequelize, { begin, closed = () => Promise.resolve() }: Ways) {
  refuseOutside(sequelize)
  let last: Promise<unknown> = Promise.resolve()
  return {
    inTransaction<T>(work: Work<T>): Promise<T> {
      const done = last.then(() => begin(sequelize, work))
      last = done.catch(() => undefined)
      return done
    },
    /** Until all that was asked for so far is done, and what it was done through is closed. */
    settled: async (): Promise<void> => {
      await last
      await closed()
    },
  }
}

/**
 * Sequelize closes a transaction's connection and does not wait for it, and hands one whose BEGIN, COMMIT or ROLLBACK
 * failed to a pool that SQLite does not have, and so leaves it open: two descriptors for each failed save, until no page
 * can be served. Here a failed one is closed too, which also rolls back what it began, and is waited for, so that the next
 * one opened takes its place. What is returned waits for all of them: two that close at once each take the other for
 * still at work, and the journal is left beside the file.
 */
export function waitForClosing({ connectionManager }: Sequelize): () => Promise<unknown> {
  const closing = new Set<Promise<unknown>>()
  const release = connectionManager.releaseConnection.bind(connectionManager)
  connectionManager.releaseConnection = (connection) => {
    if (isOnDisk(connection) && isOfTransaction(connection)) {
      const closed = once(connection, 'close').catch(() => undefined)
      closing.add(closed)
      void closed.then(() => closing.delete(closed))
    }
    release(connection)
  }
  connectionManager.destroyConnection = async (connection) => {
    connectionManager.releaseConnection(connection)
    await Promise.all(closing)
  }
  return () => Promise.all(closing)
}

/** One that serves a transaction alone; the one for all else stays open until the end. */
const isOfTransaction = (connection: object): boolean => 'uuid' in connection && connection.uuid !== undefined

/** A database in memory has one connection, which stays open whatever fails. */
const isOnDisk = (connection: object): connection is EventEmitter =>
  'once' in connection && 'filename' in connection && connection.filename !== ':memory:'

interface Written {
  readonly transaction?: Transaction | null | undefined
}

function refuseOutside(sequelize: Sequelize): void {
  const check = ({ transaction }: Written) => {
    if (!transaction)
      throw new Error('A write outside inTransaction: it could fall between another one’s look and write.')
  }
  sequelize.addHook('beforeCreate', (_row, options) => {
    check(options)
  })
  sequelize.addHook('beforeUpdate', (_row, options) => {
    check(options)
  })
  sequelize.addHook('beforeDestroy', (_row, options) => {
    check(options)
  })
  sequelize.addHook('beforeBulkCreate', (_rows, options) => {
    check(options)
  })
  sequelize.addHook('beforeBulkUpdate', check)
  sequelize.addHook('beforeBulkDestroy', check)
}
