import { DataTypes, QueryTypes } from 'sequelize'
import type { QueryInterface } from 'sequelize'
import type { Migration } from '../migrate.ts'

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
 * Planned classes are documents, with a version. They name session, place and people without a foreign key: none of them
 * goes because another does, and what was planned for a class that was led stays readable.
 */
export const plannedClassesMigration: Migration = {
  name: '013-planned-classes',
  async up(query) {
    const former = await formerClasses(query)
    await query.dropTable('plannedClassPeople')
    await query.dropTable('plannedClasses')
    await query.createTable('plannedClasses', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      sessionId: { type: DataTypes.STRING(64), allowNull: false },
      placeId: { type: DataTypes.STRING(64), allowNull: false },
      day: { type: DataTypes.STRING(10), allowNull: false },
      isLed: { type: DataTypes.BOOLEAN, allowNull: false },
      version: { type: DataTypes.INTEGER, allowNull: false },
      document: { type: DataTypes.TEXT, allowNull: false },
    })
    await query.addIndex('plannedClasses', ['day'])
    if (former.length > 0) await query.bulkInsert('plannedClasses', former)
  },
  async down(query) {
    await query.dropTable('plannedClasses')
  },
}

async function formerClasses(query: QueryInterface): Promise<object[]> {
  const select = <T extends object>(table: string): Promise<T[]> =>
    query.sequelize.query<T>(`SELECT * FROM ${table}`, { type: QueryTypes.SELECT })
  const people = await select<{ plannedClassId: string; personId: string }>('plannedClassPeople')
  return (await select<FormerRow>('plannedClasses')).map(({ id, sessionId, placeId, startsAt }) => {
    // Without a day it is planned for today, where it will be found.
    const when = startsAt === null ? { day: local(new Date()).day } : local(new Date(startsAt))
    const there = people.flatMap(({ plannedClassId, personId }) => (plannedClassId === id ? [{ personId }] : []))
    const kept = { id, sessionId, placeId, ...when, people: there, guests: 0, forms: [], substitutes: [], setAside: [] }
    return { id, sessionId, placeId, day: when.day, isLed: false, version: 1, document: JSON.stringify(kept) }
  })
}
