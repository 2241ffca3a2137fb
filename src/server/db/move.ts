import type { Model, ModelStatic, Transaction } from 'sequelize'
import type { Database } from './database.ts'

/** How many rows of a table were there, and are there now. */
export interface Moved {
  readonly table: string
  readonly rows: number
}

/** Why nothing was moved: a sentence with what to do. */
export class CannotMove extends Error {
  override readonly name = 'CannotMove'
}

/** So many rows are read at a time: some hold a whole class, or what is heard. */
const batch = 100

/**
 * Puts all that one database holds into another one that holds nothing yet, row by row, and says how many there are of each
 * table. All of it or nothing; the first stays as it is. Throws a CannotMove where there is something already, or a count
 * differs in the end.
 */
export function moveDatabase(from: Database, to: Database): Promise<readonly Moved[]> {
  return from.inTransaction((reading) =>
    to.inTransaction(async (writing) => {
      const tables = tablesOf(from, to)
      // What a database notes of itself, as that nobody had begun there yet.
      await to.models.notes.destroy({ where: {}, transaction: writing })
      for (const { name, target } of tables)
        if ((await target.count({ transaction: writing })) > 0)
          throw new CannotMove(`There is something in ${name} already: give a database that is empty.`)
      const moved: Moved[] = []
      for (const table of tables) moved.push({ table: table.name, rows: await moveTable(table, reading, writing) })
      return moved
    }),
  )
}

interface Table {
  readonly name: string
  readonly source: ModelStatic<Model>
  readonly target: ModelStatic<Model>
}

/** In the order of the models, where each stands after those it names. */
function tablesOf(from: Database, to: Database): readonly Table[] {
  const targets = new Map<string, ModelStatic<Model>>(Object.entries(to.models))
  return Object.entries(from.models).map(([key, source]: [string, ModelStatic<Model>]) => {
    const target = targets.get(key)
    if (!target) throw new Error(`no model of ${key}`)
    return { name: String(source.getTableName()), source, target }
  })
}

async function moveTable({ name, source, target }: Table, reading: Transaction, writing: Transaction): Promise<number> {
  const order = source.primaryKeyAttributes.map((key): [string, string] => [key, 'ASC'])
  for (let offset = 0; ; offset += batch) {
    const rows = await source.findAll({ order, limit: batch, offset, transaction: reading })
    await target.bulkCreate(
      rows.map((row) => row.get({ plain: true }) as Record<string, unknown>),
      { transaction: writing },
    )
    if (rows.length < batch) break
  }
  await goOnCounting(target, writing)
  const [there, here] = [await source.count({ transaction: reading }), await target.count({ transaction: writing })]
  if (there !== here) throw new CannotMove(`${name} had ${String(there)} rows, and ${String(here)} came over.`)
  return here
}

/** Numbers PostgreSQL gives by itself go on after those that came over. */
async function goOnCounting(target: ModelStatic<Model>, transaction: Transaction): Promise<void> {
  const counted = Object.entries(target.getAttributes()).find(([, { autoIncrement }]) => autoIncrement)?.[0]
  if (counted === undefined || target.sequelize?.getDialect() !== 'postgres') return
  const most = (await target.max(counted, { transaction })) as number | null
  if (most === null) return
  await target.sequelize.query(`SELECT setval(pg_get_serial_sequence(:table, :column), :most)`, {
    replacements: { table: `"${String(target.getTableName())}"`, column: counted, most },
    transaction,
  })
}
