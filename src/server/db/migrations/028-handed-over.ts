import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

/** The record of a class that was handed over comes back: who led it. */
export const handedOverMigration: Migration = {
  name: '028-handed-over',
  up: (query) => addColumnOnce(query, 'ledClasses', 'ledBy', { type: DataTypes.STRING(120), allowNull: true }),
  down: (query) => query.removeColumn('ledClasses', 'ledBy'),
}
