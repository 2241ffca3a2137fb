import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'

/** Sessions can be put away, be a template to begin from, and be deleted for a while before they go. */
export const sessionShelfMigration: Migration = {
  name: '005-session-shelf',
  async up(query) {
    await query.addColumn('sessions', 'archivedAt', { type: DataTypes.DATE, allowNull: true })
    await query.addColumn('sessions', 'deletedAt', { type: DataTypes.DATE, allowNull: true })
    await query.addColumn('sessions', 'isTemplate', { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false })
    await query.addIndex('ledClasses', ['sessionId', 'startedAt'])
  },
  async down(query) {
    await query.removeIndex('ledClasses', ['sessionId', 'startedAt'])
    await query.removeColumn('sessions', 'isTemplate')
    await query.removeColumn('sessions', 'deletedAt')
    await query.removeColumn('sessions', 'archivedAt')
  },
}
