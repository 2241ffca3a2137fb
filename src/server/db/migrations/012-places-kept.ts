import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

/** Places can be changed: each has a version; one is the usual one, and it is said how many can stand at its cupboard. */
export const placesKeptMigration: Migration = {
  name: '012-places-kept',
  async up(query) {
    await addColumnOnce(query, 'places', 'version', { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 })
    await addColumnOnce(query, 'places', 'isUsual', { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false })
    await addColumnOnce(query, 'places', 'atCupboard', { type: DataTypes.INTEGER, allowNull: true })
  },
  async down(query) {
    for (const column of ['version', 'isUsual', 'atCupboard']) await query.removeColumn('places', column)
  },
}
