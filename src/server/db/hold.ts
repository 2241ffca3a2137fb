import sqlite3 from 'sqlite3'
import { CannotOpen, keepPrivate, makeFolder } from './opening.ts'

/**
 * Holds a database for this process alone, until it is let go or the process ends, however it ends: a lock of SQLite's own on
 * a file beside it. Throws a CannotOpen where another Zovrin has it.
 */
export async function holdDatabase(file: string): Promise<() => Promise<void>> {
  makeFolder(file)
  const lock = await opened(`${file}.lock`)
  try {
    await run(lock, 'PRAGMA busy_timeout = 0')
    await run(lock, 'BEGIN EXCLUSIVE')
    keepPrivate(`${file}.lock`)
  } catch (error) {
    await closed(lock)
    throw new CannotOpen('open elsewhere', file, error)
  }
  return () => closed(lock)
}

const opened = (file: string): Promise<sqlite3.Database> =>
  new Promise((settle, fail) => {
    const database = new sqlite3.Database(file, (error) => {
      if (error) fail(error)
      else settle(database)
    })
  })
const run = (database: sqlite3.Database, sql: string): Promise<void> =>
  new Promise((settle, fail) => {
    database.run(sql, (error) => {
      if (error) fail(error)
      else settle()
    })
  })
const closed = (database: sqlite3.Database): Promise<void> =>
  new Promise((settle) => {
    database.close(() => {
      settle()
    })
  })
