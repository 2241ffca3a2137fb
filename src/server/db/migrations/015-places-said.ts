import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

/** It is said of a place until when it is free, and what is needed in an emergency, line by line as JSON. */
export const placesSaidMigration: Migration = {
  name: '015-places-said',
  async up(query) {
    await addColumnOnce(query, 'places', 'freeUntil', { type: DataTypes.STRING(5), allowNull: true })
    await addColumnOnce(query, 'places', 'emergency', { type: DataTypes.TEXT, allowNull: true })
  },
  async down(query) {
    for (const column of ['freeUntil', 'emergency']) await query.removeColumn('places', column)
  },
}
