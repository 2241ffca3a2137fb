import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

/** The note of a led class can be changed after it: guarded by a version, as all that is changed in several windows. */
export const classVersionsMigration: Migration = {
  name: '008-class-versions',
  async up(query) {
    await addColumnOnce(query, 'ledClasses', 'version', {
      type: DataTypes.INTEGER,
      allowNull: false,
      defaultValue: 1,
    })
  },
  async down(query) {
    await query.removeColumn('ledClasses', 'version')
  },
}
