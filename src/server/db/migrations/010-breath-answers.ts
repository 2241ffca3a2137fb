import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

/** After a class the teacher says how the breath was; classes before have no answer. */
export const breathAnswersMigration: Migration = {
  name: '010-breath-answers',
  async up(query) {
    await addColumnOnce(query, 'ledClasses', 'breath', { type: DataTypes.TEXT, allowNull: true })
  },
  async down(query) {
    await query.removeColumn('ledClasses', 'breath')
  },
}
