import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

/** What each class that ended teaches of how long things take; found out of older records when it is first asked for. */
export const seenTimesMigration: Migration = {
  name: '018-seen-times',
  async up(query) {
    await addColumnOnce(query, 'ledClasses', 'seenTimes', { type: DataTypes.TEXT, allowNull: true })
  },
  async down(query) {
    await query.removeColumn('ledClasses', 'seenTimes')
  },
}
