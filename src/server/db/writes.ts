import { once } from 'node:events'
import type { EventEmitter } from 'node:events'
import type { Sequelize } from 'sequelize'
import { Transaction } from 'sequelize'

/** Work that reads and writes through one transaction, and comes to something. */
export type Work<T> = (transaction: Transaction) => Promise<T>

/**
 * The one door to the database for writing. SQLite has one writer: transactions that wait for each other inside it hold
 * a thread each, and with five of them the one that could go on finds none. So they wait here, in the order in which
 * they came, and a write that knows of no transaction is a mistake of ours and is refused.
 */
export function makeWrites(sequelize: Sequelize, closed: () => Promise<unknown>) {
  refuseOutside(sequelize)
  /** What is taken away or written over is not left lying in the file. */
  const sweeping =
    <T>(work: Work<T>): Work<T> =>
    async (transaction) => {
      await sequelize.query('PRAGMA secure_delete = ON', { transaction })
      return work(transaction)
    }
  let last: Promise<unknown> = Promise.resolve()
  return {
    inTransaction<T>(work: Work<T>): Promise<T> {
      const done = last.then(() => sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, sweeping(work)))
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
