import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

/** A place has a time zone, by its IANA name [settled A15]; none: that of the machine. */
export const placeTimeZoneMigration: Migration = {
  name: '024-place-time-zone',
  async up(query) {
    await addColumnOnce(query, 'places', 'timeZone', { type: DataTypes.STRING(60), allowNull: true })
  },
  async down(query) {
    await query.removeColumn('places', 'timeZone')
  },
}
