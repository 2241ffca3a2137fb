import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

/** How plan and class drifted apart is kept with a class, so that many are laid beside each other without reading them whole. */
export const classDriftMigration: Migration = {
  name: '020-class-drift',
  async up(query) {
    await addColumnOnce(query, 'ledClasses', 'drift', { type: DataTypes.TEXT, allowNull: true })
  },
  async down(query) {
    await query.removeColumn('ledClasses', 'drift')
  },
}
