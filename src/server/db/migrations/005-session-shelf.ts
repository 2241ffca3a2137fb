import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce, addIndexOnce } from './once.ts'

/** Sessions can be put away, be a template to begin from, and be deleted for a while before they go. */
export const sessionShelfMigration: Migration = {
  name: '005-session-shelf',
  async up(query) {
    await addColumnOnce(query, 'sessions', 'archivedAt', { type: DataTypes.DATE, allowNull: true })
    await addColumnOnce(query, 'sessions', 'deletedAt', { type: DataTypes.DATE, allowNull: true })
    await addColumnOnce(query, 'sessions', 'isTemplate', {
      type: DataTypes.BOOLEAN,
      allowNull: false,
      defaultValue: false,
    })
    await addIndexOnce(query, 'ledClasses', ['sessionId', 'startedAt'])
  },
  async down(query) {
    await query.removeIndex('ledClasses', ['sessionId', 'startedAt'])
    await query.removeColumn('sessions', 'isTemplate')
    await query.removeColumn('sessions', 'deletedAt')
    await query.removeColumn('sessions', 'archivedAt')
  },
}
