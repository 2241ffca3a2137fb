import { DataTypes } from 'sequelize'
import type { QueryInterface } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce, addIndexOnce } from './once.ts'

/** What is one teacher's own, and what all use and one has made or let in. */
const owned = ['sessions', 'series', 'longDays', 'ledClasses', 'ownThings', 'sounds', 'devices'] as const

/**
 * There can be several teachers: who they are, by what they are known, and where each is signed in; what people told each of
 * them; and whose everything is. All there was until now is the first one's.
 */
export const teachersMigration: Migration = {
  name: '027-teachers',
  async up(query) {
    for (const table of owned)
      await addColumnOnce(query, table, 'ownerId', {
        ...{ type: DataTypes.STRING(64), allowNull: false },
        defaultValue: 'owner',
      })
    await addIndexOnce(query, 'sessions', ['ownerId'])
    await addIndexOnce(query, 'ledClasses', ['ownerId', 'startedAt'])
    await query.bulkUpdate('settings', { ownerId: 'owner' }, { ownerId: 'teacher' })
    if (!(await query.tableExists('teachers'))) await makeTeachers(query)
    if (!(await query.tableExists('peopleTold')))
      await query.createTable('peopleTold', {
        personId: {
          ...{ type: DataTypes.STRING(64), primaryKey: true },
          ...{ references: { model: 'people', key: 'id' }, onDelete: 'CASCADE' },
        },
        ownerId: { type: DataTypes.STRING(64), primaryKey: true },
        document: { type: DataTypes.TEXT, allowNull: false },
      })
  },
  async down(query) {
    for (const table of ['peopleTold', 'signInTries', 'signIns', 'teachers']) await query.dropTable(table)
    await query.bulkUpdate('settings', { ownerId: 'teacher' }, { ownerId: 'owner' })
    await query.removeIndex('ledClasses', ['ownerId', 'startedAt'])
    await query.removeIndex('sessions', ['ownerId'])
    for (const table of owned) await query.removeColumn(table, 'ownerId')
  },
}

async function makeTeachers(query: QueryInterface): Promise<void> {
  await query.createTable('teachers', {
    id: { type: DataTypes.STRING(64), primaryKey: true },
    name: { type: DataTypes.STRING(120), allowNull: false },
    /** The name as it is compared. */
    nameKey: { type: DataTypes.STRING(240), allowNull: false, unique: true },
    role: { type: DataTypes.STRING(20), allowNull: false },
    /** Absent until one was chosen. */
    secretHash: { type: DataTypes.STRING(300), allowNull: true },
    codeHash: { type: DataTypes.STRING(300), allowNull: true },
    codeUntil: { type: DataTypes.DATE, allowNull: true },
    addedAt: { type: DataTypes.DATE, allowNull: false },
    closedAt: { type: DataTypes.DATE, allowNull: true },
    version: { type: DataTypes.INTEGER, allowNull: false },
  })
  await query.createTable('signIns', {
    tokenHash: { type: DataTypes.STRING(64), primaryKey: true },
    teacherId: {
      ...{ type: DataTypes.STRING(64), allowNull: false },
      ...{ references: { model: 'teachers', key: 'id' }, onDelete: 'CASCADE' },
    },
    madeAt: { type: DataTypes.DATE, allowNull: false },
    seenAt: { type: DataTypes.DATE, allowNull: false },
  })
  await query.createTable('signInTries', {
    key: { type: DataTypes.STRING(64), primaryKey: true },
    wrong: { type: DataTypes.INTEGER, allowNull: false },
    at: { type: DataTypes.DATE, allowNull: false },
    closedUntil: { type: DataTypes.DATE, allowNull: true },
  })
}
