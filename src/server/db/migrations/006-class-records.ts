import { DataTypes } from 'sequelize'
import type { QueryInterface } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { firstRecordSchema, liftFirstRecord } from './first-edition/first-record.ts'
import { addColumnOnce } from './once.ts'

interface Row {
  readonly id: string
  readonly document: string
}

/**
 * The record of a class as rows: its plan once, its events one by one, what was conducted once it ended. Records of the
 * first edition are marked as such (`format` 1), get their visits from the machine that led them, and keep their whole
 * former document, log and all.
 */
export const classRecordsMigration: Migration = {
  name: '006-class-records',
  async up(query) {
    await addColumnOnce(query, 'ledClasses', 'format', { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 })
    await addColumnOnce(query, 'ledClasses', 'conductedMs', {
      type: DataTypes.INTEGER,
      allowNull: false,
      defaultValue: 0,
    })
    await addColumnOnce(query, 'ledClasses', 'left', { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false })
    await addColumnOnce(query, 'ledClasses', 'isAbout', {
      type: DataTypes.BOOLEAN,
      allowNull: false,
      defaultValue: false,
    })
    await addColumnOnce(query, 'ledClasses', 'visits', { type: DataTypes.TEXT, allowNull: true })
    await addColumnOnce(query, 'ledClasses', 'note', { type: DataTypes.TEXT, allowNull: true })
    await query.createTable('ledEvents', {
      classId: {
        type: DataTypes.STRING(64),
        primaryKey: true,
        references: { model: 'ledClasses', key: 'id' },
        onDelete: 'CASCADE',
      },
      n: { type: DataTypes.INTEGER, primaryKey: true },
      by: { type: DataTypes.STRING(64), allowNull: false },
      event: { type: DataTypes.TEXT, allowNull: false },
      ownerId: { type: DataTypes.STRING(64), allowNull: false, defaultValue: 'owner' },
    })
    await liftRecords(query)
  },
  async down(query) {
    await query.dropTable('ledEvents')
    for (const column of ['note', 'visits', 'isAbout', 'left', 'conductedMs', 'format'])
      await query.removeColumn('ledClasses', column)
  },
}

async function liftRecords(query: QueryInterface): Promise<void> {
  const rows = (await query.select(null, 'ledClasses', {})) as Row[]
  for (const { id, document } of rows) {
    const read = firstRecordSchema.safeParse(JSON.parse(document))
    // One that cannot be read keeps its document untouched and is told as unfinished, with nothing conducted.
    if (!read.success) continue
    const { conductedMs, visits, left, isAbout, events } = liftFirstRecord(read.data)
    await query.bulkUpdate(
      'ledClasses',
      { conductedMs, left, isAbout, visits: JSON.stringify(visits), note: read.data.note ?? null },
      { id },
    )
    // Whatever a migration that was killed had put in already.
    await query.bulkDelete('ledEvents', { classId: id })
    if (events.length === 0) continue
    await query.bulkInsert(
      'ledEvents',
      events.map(({ n, by, event }) => ({ classId: id, n, by, event: JSON.stringify(event), ownerId: 'owner' })),
    )
  }
}
