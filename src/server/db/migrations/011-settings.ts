import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'

/** What each teacher set for all their sessions: one document a teacher, with a version [settled A23]. */
export const settingsMigration: Migration = {
  name: '011-settings',
  async up(query) {
    await query.createTable('settings', {
      ownerId: { type: DataTypes.STRING(64), primaryKey: true },
      version: { type: DataTypes.INTEGER, allowNull: false },
      document: { type: DataTypes.TEXT, allowNull: false },
    })
  },
  async down(query) {
    await query.dropTable('settings')
  },
}
