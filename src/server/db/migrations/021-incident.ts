import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

/** An incident is written down beside the record of a class, apart from its note. */
export const incidentMigration: Migration = {
  name: '021-incident',
  async up(query) {
    await addColumnOnce(query, 'ledClasses', 'incident', { type: DataTypes.TEXT, allowNull: true })
  },
  async down(query) {
    await query.removeColumn('ledClasses', 'incident')
  },
}
