import { DataTypes, QueryTypes } from 'sequelize'
import type { QueryInterface } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addIndexOnce } from './once.ts'

interface FormerRow {
  readonly id: string
  readonly sessionId: string
  readonly placeId: string
  readonly startsAt: string | null
}

const two = (n: number): string => String(n).padStart(2, '0')

/** A moment as day and time where this machine stands. */
const local = (at: Date): { day: string; startsAt: string } => ({
  day: `${String(at.getFullYear())}-${two(at.getMonth() + 1)}-${two(at.getDate())}`,
  startsAt: `${two(at.getHours())}:${two(at.getMinutes())}`,
})

/**
 * Planned classes are documents, with a version, in a table of their own: they name session, place and people without a
 * foreign key, so that none of them goes because another does, and what was planned for a class that was led stays.
 */
export const plannedClassesMigration: Migration = {
  name: '013-planned-classes',
  async up(query) {
    if (!(await query.tableExists(table)))
      await query.createTable(table, {
        id: { type: DataTypes.STRING(64), primaryKey: true },
        sessionId: { type: DataTypes.STRING(64), allowNull: false },
        placeId: { type: DataTypes.STRING(64), allowNull: false },
        day: { type: DataTypes.STRING(10), allowNull: false },
        isLed: { type: DataTypes.BOOLEAN, allowNull: false },
        version: { type: DataTypes.INTEGER, allowNull: false },
        document: { type: DataTypes.TEXT, allowNull: false },
      })
    await addIndexOnce(query, table, ['day'])
    const former = await formerClasses(query)
    if (former.length > 0) await query.bulkInsert(table, former, { ignoreDuplicates: true } as object)
    await query.dropTable('plannedClassPeople')
    await query.dropTable('plannedClasses')
  },
  async down(query) {
    await query.dropTable(table)
    await formerTables(query)
  },
}

const table = 'classPlans'

async function formerClasses(query: QueryInterface): Promise<object[]> {
  const rowsOf = async <T extends object>(name: string): Promise<T[]> =>
    (await query.tableExists(name))
      ? query.sequelize.query<T>(`SELECT * FROM "${name}"`, { type: QueryTypes.SELECT })
      : []
  const people = await rowsOf<{ plannedClassId: string; personId: string }>('plannedClassPeople')
  return (await rowsOf<FormerRow>('plannedClasses')).map(({ id, sessionId, placeId, startsAt }) => {
    // Without a day it is planned for today, where it will be found.
    const when = startsAt === null ? { day: local(new Date()).day } : local(new Date(startsAt))
    const there = people.flatMap(({ plannedClassId, personId }) => (plannedClassId === id ? [{ personId }] : []))
    const kept = { id, sessionId, placeId, ...when, people: there, guests: 0, forms: [], substitutes: [], setAside: [] }
    return { id, sessionId, placeId, day: when.day, isLed: false, version: 1, document: JSON.stringify(kept) }
  })
}

/** The tables as they were, empty: nothing that came since can be told in them. */
async function formerTables(query: QueryInterface): Promise<void> {
  const key = { type: DataTypes.STRING(64), primaryKey: true }
  const name = { type: DataTypes.STRING(64), allowNull: false }
  await query.createTable('plannedClasses', {
    ...{ id: key, sessionId: name, placeId: name },
    startsAt: { type: DataTypes.DATE, allowNull: true },
  })
  await query.createTable('plannedClassPeople', { plannedClassId: key, personId: key })
}
