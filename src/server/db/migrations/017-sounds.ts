import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'

/** Own sounds: what is known of each; what is heard lies in a file of its own beside the database. */
export const soundsMigration: Migration = {
  name: '017-sounds',
  async up(query) {
    if (await query.tableExists('sounds')) return
    await query.createTable('sounds', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      use: { type: DataTypes.STRING(20), allowNull: false },
      type: { type: DataTypes.STRING(40), allowNull: false },
      bytes: { type: DataTypes.INTEGER, allowNull: false },
      lengthMs: { type: DataTypes.INTEGER, allowNull: false },
    })
  },
  async down(query) {
    await query.dropTable('sounds')
  },
}
