import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'

/** Long days are documents, with a version. */
export const longDaysMigration: Migration = {
  name: '025-long-days',
  async up(query) {
    if (await query.tableExists('longDays')) return
    await query.createTable('longDays', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      version: { type: DataTypes.INTEGER, allowNull: false },
      document: { type: DataTypes.TEXT, allowNull: false },
    })
  },
  async down(query) {
    await query.dropTable('longDays')
  },
}
