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
export function makeWrites(sequelize: Sequelize) {
  closeWhatFails(sequelize)
  refuseOutside(sequelize)
  let last: Promise<unknown> = Promise.resolve()
  return {
    inTransaction<T>(work: Work<T>): Promise<T> {
      const done = last.then(() => sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, work))
      last = done.catch(() => undefined)
      return done
    },
    /** Until all that was asked for so far is done. */
    settled: async (): Promise<void> => {
      await last
    },
  }
}

/**
 * Sequelize hands a connection whose BEGIN, COMMIT or ROLLBACK failed to a pool that SQLite does not have, and so leaves
 * it open: two descriptors for each failed save, until no page can be served. Closing it also rolls back what it began.
 * It is waited for, so that the next one opened takes its place instead of a further one.
 */
function closeWhatFails({ connectionManager }: Sequelize): void {
  connectionManager.destroyConnection = async (connection) => {
    const closed = isOnDisk(connection) ? once(connection, 'close').catch(() => undefined) : undefined
    connectionManager.releaseConnection(connection)
    await closed
  }
}

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
