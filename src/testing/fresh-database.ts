import { copyFileSync, mkdtempSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { nanoid } from 'nanoid'
import { Sequelize } from 'sequelize'
import { moveDatabase } from '#server/db/move'
import { openDatabase } from '#server/db/open'
import type { Database } from '#server/db/open'

const fixtures = join(import.meta.dirname, '../server/db/fixtures')

/** The database with nothing in it that is made once before all tests. */
export const freshFile = (): string => join(process.env['ZOVRIN_DATABASES'] ?? '.', 'fresh.sqlite')

const fileOfItsOwn = (): string => join(mkdtempSync(join(dirname(freshFile()), 'one-')), 'zovrin.sqlite')

/** The PostgreSQL server the tests run on, by the address of its database with nothing in it; absent: they run on SQLite. */
export const freshAddress = (): string | undefined => process.env['ZOVRIN_TESTS_ON']

/**
 * An open database with nothing in it, of its own: a copy, since to make one anew takes a dozen times as long. How it is made
 * is tested where the migrations are. In a file where one is named, whatever the tests run on.
 */
export async function freshDatabase(named?: string): Promise<Database> {
  if (named === undefined && freshAddress() !== undefined) return emptiedAtItsEnd(emptied.pop() ?? (await freshCopy()))
  const file = named ?? fileOfItsOwn()
  copyFileSync(freshFile(), file)
  return openDatabase(file)
}

/** Databases on PostgreSQL that were closed with nothing in them: to take one again costs a fiftieth of making one. */
const emptied: string[] = []

async function emptiedAtItsEnd(address: string): Promise<Database> {
  const database = await openDatabase(address)
  const tables = Object.values(database.models).map((model) => `"${String(model.getTableName())}"`)
  return {
    ...database,
    async close() {
      // Not where a test took a table away.
      const isEmpty = await database.sequelize.query(tables.map((table) => `DELETE FROM ${table}`).join('; ')).then(
        () => true,
        () => false,
      )
      await database.close()
      if (isEmpty) emptied.push(address)
    },
  }
}

/** What a Zovrin of before left, opened by this one: the file of its fixture, moved over where the tests run on PostgreSQL. */
export async function formerDatabase(fixture: string): Promise<Database> {
  const file = fileOfItsOwn()
  copyFileSync(join(fixtures, fixture), file)
  const former = await openDatabase(file)
  if (freshAddress() === undefined) return former
  const database = await freshDatabase()
  await moveDatabase(former, database)
  await former.close()
  return database
}

/** The address of a database with all tables and nothing in them, of its own; for tests of PostgreSQL. */
export const freshCopy = (): Promise<string> => madeAt(`TEMPLATE "${new URL(ofTests()).pathname.slice(1)}"`)
/** The address of one that has no table yet. */
export const emptyAddress = (): Promise<string> => madeAt('')

function ofTests(): string {
  const address = freshAddress()
  if (address === undefined) throw new Error('a test of PostgreSQL runs where the tests are on PostgreSQL')
  return address
}

async function madeAt(how: string): Promise<string> {
  const at = (name: string): string => ofTests().replace(/[^/]*$/, name)
  const name = `one_${nanoid(12).toLowerCase().replaceAll('-', '_')}`
  const server = new Sequelize(at('postgres'), { logging: false })
  try {
    await server.query(`CREATE DATABASE "${name}" ${how}`)
  } finally {
    await server.close()
  }
  return at(name)
}
