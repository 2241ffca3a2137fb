import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { Sequelize } from 'sequelize'
import type { ColumnDescription, QueryInterface } from 'sequelize'
import { z } from 'zod'
import type { Archive } from '#model/archive'
import { CannotBackUp } from '#server/backup/trouble'
import { makeMigrator, migrations } from '#server/db/migrate'
import { defineModels } from '#server/db/models'
import { refuseUnreadableValue } from '#server/http/body'
import { cellOf } from './cell.ts'
import { shelves } from './shelves.ts'

/** More than the file of any class takes, with all its events. */
const mostJsonBytes = 64_000_000
const rowsSchema = z.record(z.string().max(60), z.array(z.record(z.string().max(60), z.unknown())).max(50_000))

async function rowsIn(folder: string, name: string): Promise<z.infer<typeof rowsSchema>> {
  const document: unknown = JSON.parse(await readFile(join(folder, name), 'utf8'))
  refuseUnreadableValue(document)
  return rowsSchema.parse(document)
}

type Tables = ReadonlyMap<string, ReadonlyMap<string, ColumnDescription>>

/** No table but those of one teacher's things is written from an archive: their columns as its Zovrin had them. */
async function tablesOfThings(sequelize: Sequelize): Promise<Tables> {
  const models = defineModels(sequelize)
  const keys = [
    'people' as const,
    ...shelves.flatMap(({ model, parts }) => [model, ...parts.map((part) => part.model)]),
  ]
  const query = sequelize.getQueryInterface()
  const there = new Set(await query.showAllTables())
  const names = keys.map((key) => String(models[key].getTableName())).filter((name) => there.has(name))
  return new Map(
    await Promise.all(
      names.map(async (name) => [name, new Map(Object.entries(await query.describeTable(name)))] as const),
    ),
  )
}

/**
 * Puts the unpacked files of an archive into a database of their own, in the form its Zovrin had; opened, it is brought up to this
 * one's. Throws a CannotBackUp where it is of a newer Zovrin, or a row is none of its tables'.
 */
export async function layAtItsSchema(archive: Archive, folder: string, file: string): Promise<void> {
  if (!migrations.some(({ name }) => name === archive.schema)) throw new CannotBackUp('from the future', file)
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: file, logging: false })
  try {
    // Nothing of it outlives the bringing in: it need not survive a loss of power.
    await sequelize.query('PRAGMA synchronous = OFF')
    await sequelize.query('PRAGMA journal_mode = MEMORY')
    await (await makeMigrator(sequelize)).up({ to: archive.schema })
    // Rows come file by file: what one stands on may come after it.
    await sequelize.query('PRAGMA foreign_keys = OFF')
    const query = sequelize.getQueryInterface()
    const tables = await tablesOfThings(sequelize)
    const at: At = { query, tables, folder, names: new Set(archive.files.map(({ name }) => name)) }
    for (const { name, bytes } of archive.files.filter((one) => one.name.endsWith('.json'))) {
      if (bytes > mostJsonBytes) throw new Error(`larger than any file of ours: ${name}`)
      for (const [table, rows] of Object.entries(await rowsIn(folder, name))) {
        if (!tables.has(table)) throw new Error(`no table of things: ${table}`)
        for (const row of rows) await insert(at, table, row)
      }
    }
  } catch (error) {
    throw error instanceof CannotBackUp ? error : new CannotBackUp('changed', file, error)
  } finally {
    await sequelize.close()
  }
}

interface At {
  readonly query: QueryInterface
  readonly tables: Tables
  readonly folder: string
  /** What lies in the folder; nothing else is read, whatever a row says. */
  readonly names: ReadonlySet<string>
}

async function insert(
  { query, tables, folder, names }: At,
  table: string,
  row: Readonly<Record<string, unknown>>,
): Promise<void> {
  const columns = tables.get(table) ?? new Map<string, ColumnDescription>()
  const { heard, ...values } = row
  const cells = Object.entries(values).map(([column, value]) => {
    const its = columns.get(column)
    if (!its) throw new Error(`no column of ${table}: ${column}`)
    return [column, cellOf(value, its)]
  })
  const blob =
    columns.has('heard') && typeof heard === 'string' && names.has(heard)
      ? { heard: await readFile(join(folder, heard)) }
      : {}
  await query.bulkInsert(table, [{ ...Object.fromEntries(cells), ...blob }])
}
